/** Work of the drawing that another machine or another firm does, and what the lathe has to leave for it. */
export interface Elsewhere {
  path: string;
  kind: string;
  /** In words, for plan and drawing. */
  name: string;
  /** Paths of the surfaces that it is about; empty for the whole part. */
  on: string[];
  /** The end that it is about, where it is about one. */
  end?: 'front' | 'back';
  /** A length that it says: the thickness of a plating, what is left to grind, growth; mm. */
  length?: number;
}
