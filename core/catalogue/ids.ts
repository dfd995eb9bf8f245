/** Branded ids, made and read in this one module, so that a material never stands where a product belongs. */

declare const brand: unique symbol;
type Branded<Name extends string> = string & { readonly [brand]: Name };

export type MaterialId = Branded<"material">;
export type UseId = Branded<"use">;
/** A product class, or an aid without a paint film (a wash, a guide, an oven). */
export type ProductId = Branded<"product">;
export type StepId = Branded<"step">;
export type CandidateId = Branded<"candidate">;
export type PieceId = Branded<"piece-record">;
export type PlanId = Branded<"plan-record">;
export type ProgressId = Branded<"progress-record">;
export type RoomId = Branded<"room-record">;
export type JarId = Branded<"jar-record">;
export type RecipeId = Branded<"recipe-record">;
export type ToolId = Branded<"tool-record">;
export type PatternId = Branded<"pattern-record">;
export type PhotoId = Branded<"photo-record">;
export type TimerId = Branded<"timer-record">;
export type InspectionId = Branded<"inspection-record">;
export type MouldId = Branded<"mould-record">;
/** A bag of powder, or a kit of two parts. */
export type CompoundId = Branded<"compound-record">;
export type PourId = Branded<"pour-record">;
/** A finished piece, as it is written down. */
export type LogRecordId = Branded<"log-record">;
export type TrialId = Branded<"trial-record">;
/** A picture by what is in it: the same bytes have the same id. */
export type PictureId = Branded<"picture">;

export const materialId = (text: string): MaterialId => text as MaterialId;
export const useId = (text: string): UseId => text as UseId;
export const productId = (text: string): ProductId => text as ProductId;
export const stepId = (text: string): StepId => text as StepId;
export const candidateId = (text: string): CandidateId => text as CandidateId;
export const pieceId = (text: string): PieceId => text as PieceId;
export const planId = (text: string): PlanId => text as PlanId;
export const progressId = (text: string): ProgressId => text as ProgressId;
export const roomId = (text: string): RoomId => text as RoomId;
export const jarId = (text: string): JarId => text as JarId;
export const recipeId = (text: string): RecipeId => text as RecipeId;
export const toolId = (text: string): ToolId => text as ToolId;
export const patternId = (text: string): PatternId => text as PatternId;
export const photoId = (text: string): PhotoId => text as PhotoId;
export const timerId = (text: string): TimerId => text as TimerId;
export const inspectionId = (text: string): InspectionId => text as InspectionId;
export const mouldId = (text: string): MouldId => text as MouldId;
export const compoundId = (text: string): CompoundId => text as CompoundId;
export const pourId = (text: string): PourId => text as PourId;
export const logRecordId = (text: string): LogRecordId => text as LogRecordId;
export const trialId = (text: string): TrialId => text as TrialId;
export const pictureId = (text: string): PictureId => text as PictureId;

const ALPHABET = "0123456789abcdefghjkmnpqrstvwxyz";

/**
 * Makes a record id out of random bytes given by the caller; the core draws none itself.
 *
 * @param bytes 10 or more random bytes
 * @returns one character of a 32-letter alphabet a byte
 * @example recordId(new Uint8Array([0, 1, 33])) // "011"
 */
export function recordId(bytes: Uint8Array): string {
  return Array.from(bytes, (byte) => ALPHABET[byte % ALPHABET.length]).join("");
}
