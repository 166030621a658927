/**
 * What is typed and not yet saved. It is written at once, at every change, into the one store of the browser that needs no waiting, so
 * that leaving the page, a reload or a crash takes no word away. Each opening of a toy has a draft of its own.
 */
export interface Draft {
  /** the opening that typed it */
  opening: string;
  /** revision of the toy it was typed over */
  revision: number;
  text: string;
  at: number;
}

const prefix = (id: string) => `hoppla/draft/${id}/`;
const lockOf = (opening: string) => `hoppla/opening/${opening}`;

/** Where the browser can't tell which tabs are open, a draft this old was left behind by one that is not. */
const abandonedAfterMs = 5000;

function store(): Storage | null {
  try {
    return typeof localStorage === 'undefined' ? null : localStorage;
  } catch {
    // A browser may forbid it; what is typed is then kept by the saving alone.
    return null;
  }
}

export function writeDraft(id: string, draft: Draft): void {
  try {
    store()?.setItem(prefix(id) + draft.opening, JSON.stringify(draft));
  } catch {
    // Full: the saving keeps it, and says so where it can't.
  }
}

export function removeDraft(id: string, opening: string): void {
  store()?.removeItem(prefix(id) + opening);
}

const keysOf = (id: string): string[] =>
  Object.keys(store() ?? {}).filter((key) => key.startsWith(prefix(id)));

export function forgetDrafts(id: string): void {
  for (const key of keysOf(id)) store()?.removeItem(key);
}

function readDraft(key: string): Draft | null {
  try {
    const draft = JSON.parse(store()?.getItem(key) ?? 'null') as Partial<Draft> | null;
    const whole =
      typeof draft?.opening === 'string' &&
      typeof draft.revision === 'number' &&
      typeof draft.text === 'string' &&
      typeof draft.at === 'number';
    return whole ? (draft as Draft) : null;
  } catch {
    return null;
  }
}

/** The browser's own locks between tabs; there are none where the page has no secure address. */
const locks = (): LockManager | undefined => (typeof navigator === 'undefined' ? undefined : navigator.locks);

/** Says for as long as this page lives that an opening is at work, so that no other takes its draft for one left behind. */
export function holdOpening(opening: string): () => void {
  let release = () => undefined as void;
  const ended = new Promise<void>((resolve) => {
    release = resolve;
  });
  void locks()
    ?.request(lockOf(opening), () => ended)
    .catch(() => undefined);
  return release;
}

/** The drafts of a toy that were left behind, the oldest first. */
export async function abandonedDrafts(id: string): Promise<Draft[]> {
  const drafts = keysOf(id).flatMap((key) => readDraft(key) ?? []);
  if (drafts.length === 0) return [];
  const held = await locks()
    ?.query()
    .then((state) => new Set(state.held?.map(({ name }) => name)))
    .catch(() => undefined);
  const left = drafts.filter(({ opening, at }) =>
    held ? !held.has(lockOf(opening)) : Date.now() - at > abandonedAfterMs,
  );
  return left.sort((a, b) => a.at - b.at);
}
