/** A maker's own signs must not turn into markup. */
export const escapedMarkdown = (text: string): string =>
  text.replace(/[\\*_`#<>[\]|]/g, (sign) => `\\${sign}`);

const entities: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

/** The same for HTML. */
export const escapedHtml = (text: string): string =>
  text.replace(/[&<>"]/g, (sign) => entities[sign] ?? sign);
