declare global {
  namespace App {
    interface Error {
      message: string;
      mend?: string;
    }
  }
}

export {};
