declare namespace App {
  /** What the server gives to the endpoints. */
  interface Locals {
    /** The built thread that computes plans; none while developing. */
    planThread?: string;
    /** Where the static files are; those of the sources while developing. */
    publicFiles?: string;
    /** Aborted when the one who asked is gone. */
    left?: AbortSignal;
  }
}
