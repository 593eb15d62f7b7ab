/** Something named, with what is said of it. */
export interface PaperRow {
  readonly name: string;
  readonly lines: readonly string[];
}

/** A part of a page for somebody to take along. */
export interface PaperPart {
  readonly title: string;
  readonly rows: readonly PaperRow[];
}

/** A page for somebody to take along: shown, printed, and the same as a PDF. */
export interface PaperView {
  readonly title: string;
  /** Whose, when, by whom. */
  readonly under: string;
  readonly parts: readonly PaperPart[];
  /** What is said in the end. */
  readonly foot: string;
}

/** A code that opens a page: one path, in a square so many units wide. */
export interface PaperCode {
  readonly size: number;
  readonly path: string;
}
