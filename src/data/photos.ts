import { runs } from './runs';

/** A photo that was put into the logbook of a toy. */
export interface Photo {
  /** when, in milliseconds since 1970 */
  at: number;
  /** small, as a data address */
  picture: string;
  /** what was written with it */
  words: string;
}

/** The photos of every making of a toy, the newest first. */
export async function photosOf(toy: string): Promise<Photo[]> {
  const kept = await Promise.all((await runs.of(toy)).map(({ id }) => runs.read(id)));
  const photos = kept.flatMap((one) =>
    (one?.events ?? []).flatMap((event) =>
      event.kind === 'photo' ? [{ at: event.at, picture: event.picture, words: event.text }] : [],
    ),
  );
  return photos.sort((a, b) => b.at - a.at);
}
