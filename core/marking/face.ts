/** A face as lettering is measured with it. In ems: the size of the type is 1. */
export interface Face {
  readonly id: string;
  readonly name: string;
  readonly capHeight: number;
  readonly xHeight: number;
  readonly widths: Readonly<Record<string, number>>;
}
