/** An answer that is no success: status, code, and what to do next. */
export class HttpError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly field: string | null = null,
  ) {
    super(message);
    this.name = 'HttpError';
  }
}

/** A data folder that cannot be used; the message says what to do. */
export class DataFolderError extends Error {}
