export { pdfOf } from "#core/marking/papers/pdf";
