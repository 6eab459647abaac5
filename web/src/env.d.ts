declare namespace App {
  /** What the server gives to the endpoints. */
  interface Locals {
    /** The built thread that computes plans; none while developing. */
    planThread?: string;
    /** Aborted when the one who asked is gone. */
    left?: AbortSignal;
  }
}
