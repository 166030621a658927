const key = 'hoppla/bring';

/** Kept here where the browser keeps nothing for a tab. */
let remembered = '';

/** The pattern that is being brought and is not on the shelf yet. It outlives a reload of its tab, and never stands in the address. */
export const bringing = {
  read(): string {
    try {
      return sessionStorage.getItem(key) ?? remembered;
    } catch {
      return remembered;
    }
  },
  write(text: string): void {
    remembered = text;
    try {
      if (text) sessionStorage.setItem(key, text);
      else sessionStorage.removeItem(key);
    } catch {
      // Full or forbidden: it is remembered for as long as the page lives.
    }
  },
};
