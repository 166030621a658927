import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { readAhead } from '../core/notation/readLine';
import { analyseToy, type ToyAnalysis } from '../core/toy/analyse';

/** Reading goes on for so long before the thumb is heard again. */
const sliceMs = 10;
/** A pause in the typing after which it is worth searching for what mends a slip. */
const pauseMs = 250;
/** A text with no more signs than this unread is read at once. */
const atOnce = 1500;

/** Reads the lines of a text no reading has seen, a few at a time; false where it was given up for a newer text. */
async function readInSlices(text: string, signal: AbortSignal): Promise<boolean> {
  const reading = readAhead(text);
  let begun = Date.now();
  while (!reading.next().done) {
    if (Date.now() - begun < sliceMs) continue;
    await new Promise((resolve) => {
      setTimeout(resolve, 0);
    });
    if (signal.aborted) return false;
    begun = Date.now();
  }
  return !signal.aborted;
}

/** Is this text read so far, or so little of it new that reading it is not felt? */
function isQuick(text: string): boolean {
  let unread = 0;
  try {
    for (const signs of readAhead(text, true)) {
      unread += signs;
      if (unread > atOnce) return false;
    }
  } catch {
    // The analysis will say what is wrong.
  }
  return true;
}

/**
 * The analysis of a text as it is typed. What is short is there at once; a long text is read in slices meanwhile, and given up for the
 * next keystroke; what mends a slip is searched for once the typing rests.
 */
export function useAnalysis(text: string): ToyAnalysis {
  const settled = useDeferredValue(text);
  const [read, setRead] = useState(settled);
  const quick = useMemo(() => isQuick(settled), [settled]);
  const current = quick ? settled : read;
  useEffect(() => {
    if (quick) return undefined;
    const giveUp = new AbortController();
    void readInSlices(settled, giveUp.signal).then((done) => {
      if (done) setRead(settled);
    });
    return () => giveUp.abort();
  }, [settled, quick]);

  const [searched, setSearched] = useState<string | null>(null);
  useEffect(() => {
    const rest = setTimeout(() => setSearched(current), pauseMs);
    return () => clearTimeout(rest);
  }, [current]);
  return useMemo(() => analyseToy(current, { searches: searched === current }), [current, searched]);
}
