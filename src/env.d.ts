declare namespace App {
  interface Locals {
    requestId: string;
  }
}
