import type { Fault } from '$lib/server/database';

declare global {
  namespace App {
    interface Error {
      message: string;
      mend?: string;
    }
    interface Locals {
      /** A fault in this request that a person can act on, for its answer. */
      fault?: Fault;
    }
  }
}

export {};
