/** What the store says when something could not be done. The message is for the user and says what is safe. */
export class StoreError extends Error {
  override name = 'StoreError';
}

/** A newer version of the app has written here; this one must not write any more. */
export class NewerError extends StoreError {
  override name = 'NewerError';
}

/** The same field was changed in another window since this one read it. */
export class ConflictError extends StoreError {
  override name = 'ConflictError';
}
