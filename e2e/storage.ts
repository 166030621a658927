import type { Page } from '@playwright/test';

/** The texts of all toys as the browser keeps them: what there is, whatever the screen shows. */
export function keptTexts(page: Page): Promise<string[]> {
  return page.evaluate(
    () =>
      new Promise<string[]>((resolve, reject) => {
        const opening = indexedDB.open('hoppla');
        opening.onerror = () => reject(opening.error);
        opening.onsuccess = () => {
          const database = opening.result;
          const end = (texts: string[]) => {
            database.close();
            resolve(texts);
          };
          if (!database.objectStoreNames.contains('entries')) {
            end([]);
            return;
          }
          const asked = database
            .transaction('entries')
            .objectStore('entries')
            .getAll(IDBKeyRange.bound('hoppla/toy/', 'hoppla/toy0'));
          asked.onsuccess = () =>
            end(
              (asked.result as string[]).map(
                (kept) => (JSON.parse(kept) as { document: { text: string } }).document.text,
              ),
            );
        };
      }),
  );
}
