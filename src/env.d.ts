/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    /** Fresh for each response; style elements that scripts make carry it. */
    nonce: string;
  }
}
