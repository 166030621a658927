import { useMutation } from '@tanstack/react-query';
import { ownLanguage, soundMessages, speakBy, spoken, type Translator } from '../core/words/language';
import { isRecord } from './json';
import { storage } from './storage';

const key = 'hoppla/habit/language';

/** The languages there are files of, as their tags: `nl`, `pt-BR`. */
export const languagesThere = (): readonly string[] =>
  (document.documentElement.dataset.languages ?? '').split(' ').filter(Boolean);

/** Nothing has to be waited for. */
export const isEnglishOnly = (): boolean => languagesThere().length === 0;

/**
 * The language to speak: the one she chose, else the first of her browser's that is there.
 *
 * @param kept what she chose once; null for nothing
 * @param wanted what the browser asks for, the dearest first
 * @param there the languages there are besides our own
 */
export function languageOf(kept: string | null, wanted: readonly string[], there: readonly string[]): string {
  const known = [ownLanguage, ...there];
  if (kept !== null && known.includes(kept)) return kept;
  const bare = (tag: string) => tag.split('-')[0];
  const found = wanted.map(
    (tag) => known.find((one) => one === tag) ?? known.find((one) => bare(one) === bare(tag)),
  );
  return found.find((one) => one !== undefined) ?? ownLanguage;
}

/** Says messages by a translation; what is missing in it, or loses one of its numbers, in English. */
export async function translatorOf(
  language: string,
  translation: Readonly<Record<string, unknown>>,
): Promise<Translator> {
  const { createInstance } = await import('i18next');
  const messages = createInstance();
  await messages.init({
    lng: language,
    fallbackLng: false,
    resources: { [language]: { translation: soundMessages(translation) } },
    // A message is its own name, with points and colons as they come.
    keySeparator: false,
    nsSeparator: false,
    // What is put in is never taken for a message, and the screen knows no markup.
    interpolation: { escapeValue: false, skipOnVariables: true },
    returnEmptyString: false,
    showSupportNotice: false,
  });
  return (message, values, english) =>
    messages.exists(message, values) ? messages.t(message, { ...values }) : english;
}

async function speak(language: string): Promise<void> {
  const response = await fetch(`/languages/${language}.json`);
  const translation: unknown = response.ok ? await response.json() : null;
  if (!isRecord(translation)) return;
  speakBy(await translatorOf(language, translation), language);
  document.documentElement.lang = language;
}

let taken: Promise<void> | null = null;

async function takeUp(): Promise<void> {
  if (isEnglishOnly()) return;
  const there = languagesThere();
  const kept = await storage.getItem(key).catch(() => null);
  const language = languageOf(kept, navigator.languages, there);
  // A language that can’t be had must not hold up a page: English then.
  if (language !== ownLanguage) await speak(language).catch(() => undefined);
}

/** Takes up the language she reads, once, before anything is said in words. */
export function takeUpLanguage(): Promise<void> {
  taken ??= takeUp();
  return taken;
}

/** The language that is spoken, those there are, and a way to change it. */
export function useLanguage() {
  const keep = useMutation({
    mutationFn: (language: string) => storage.setItem(key, language),
    // Whatever was said in words is made anew: all of it is kept already.
    onSuccess: () => window.location.reload(),
  });
  return {
    spoken: spoken(),
    there: [ownLanguage, ...languagesThere()],
    /** what could not be kept: the browser's storage is full or shut */
    failed: keep.isError ? (keep.variables ?? null) : null,
    change: (language: string) => keep.mutate(language),
  };
}
