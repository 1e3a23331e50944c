import type { StoreFault } from '$lib/server/database';

declare global {
  namespace App {
    interface Error {
      message: string;
      mend?: string;
    }
    interface Locals {
      /** A fault of the store in this request, for its answer. */
      fault?: StoreFault;
    }
  }
}

export {};
