import { t } from '../core/words/language';
import type { ToyDocument } from '../core/keep/document';

/** A toy as kept, with the number of its saves: two tabs tell by it that one is behind. */
export interface StoredToy {
  id: string;
  revision: number;
  document: ToyDocument;
  /** the opening of the toy that saved it last; null where none did */
  savedBy: string | null;
}

/** Another tab has saved this toy since it was read here. */
export class ConflictError extends Error {
  constructor(readonly stored: StoredToy) {
    super(t`This toy was changed in another tab.`);
  }
}

/** The toy was taken off the shelf, in another tab. */
export class GoneError extends Error {
  constructor() {
    super(t`This toy was deleted in another tab.`);
  }
}

/** What is kept under a toy's key can't be read. */
export class DamagedError extends Error {
  constructor(
    message: string,
    readonly kept: string,
  ) {
    super(message);
  }
}

/** What was tried can't be read, or there is no room for more. */
export class RecordError extends Error {}

/** The record holds as much as it may. */
export class FullRecordError extends RecordError {
  constructor(entries: number) {
    super(t`This record is full: ${entries} entries. Export the toy, then begin a copy of it.`);
  }
}

/** The text could be kept, and not be read again. */
export class TooLongError extends Error {}
