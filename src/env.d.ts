declare namespace App {
  interface Locals {
    requestId: string;
    /** The address that this was asked by, as the asking device knows it. */
    origin: string;
  }
}
