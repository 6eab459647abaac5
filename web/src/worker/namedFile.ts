/** A file as it comes in. */
export interface NamedFile {
  file: Blob;
  /** Without its ending. */
  name: string;
}
