/** What may be asked of a piece's photographs. */
export type PhotoAsk =
  | { readonly intent: "add"; readonly files: string }
  | { readonly intent: "say"; readonly id: string; readonly caption?: string; readonly at?: string }
  | { readonly intent: "remove"; readonly id: string };

/** A file that is no photograph, and why. */
export interface NotTaken {
  readonly name: string;
  readonly why: string;
}

/** What became of the files that were picked. */
export type PhotosOutcome =
  | { readonly kind: "added"; readonly added: number; readonly same: number; readonly notTaken: readonly NotTaken[] }
  /** Nothing was added; the files are still at hand under the same token. */
  | { readonly kind: "failed"; readonly why: string; readonly files: string };
