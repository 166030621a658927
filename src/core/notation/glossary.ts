const abbreviation = String.raw`(?:sc2tog|scs?|hdcs?|dcs?|trs?|htr|sl\.?\s*st|ss|slst|chs?|incs?|decs?|inv\.?\s*dec|invdec|mr|mc|sts?(?:\(s\))?|blo|flo|bl|fl|tog|sk|rnds?|rep|sp|beg|yo|fo|pm|\[\s*\]|\(\s*(?:\.{3}|…)?\s*\)(?:\s*x\s*\d+)?|\*(?:\s*\*)?)`;
const explained = new RegExp(
  String.raw`^\s*[*•·▪-]?\s*${abbreviation}\s*(?:\([a-z ]{1,20}\))?\s*(?::|=|[–—]|-\s)\s*(?=[a-z(]|\d+\s+(?:sc|single|st|dc|double)[a-z ]*\s+(?:in|into|together|tog|as))`,
  'i',
);

/** `sc2tog: single crochet 2 together`: a line that explains a word of the pattern, and works nothing. */
export function isGlossary(line: string): boolean {
  return explained.test(line) || isDefinition(line);
}

const defined = /^\s*[*•·▪-]?\s*(?:\*\*)?[a-z][a-z0-9]{0,9}(?:\.?\s[a-z]{1,6})?\s*=\s*[a-z(\d]/i;

/** `bo = bobble: 5 dc together`: a sign of equality after a word explains it. */
export function isDefinition(line: string): boolean {
  return defined.test(line) && !/^\s*(?:rounds?|rnds?|rows?|r)\b/i.test(line);
}

const listHeading =
  /^\s*(?:[#*=_\s]*)(?:(?:list\s+of\s+)?abbreviations?(?:\s+(?:used|list))?|materials?(?:\s+(?:and\s+tools|needed|list))?|supplies|tools(?:\s+and\s+materials)?|what\s+you(?:['’]ll|\s+will)?\s+need|you(?:['’]ll|\s+will)?\s+need|stitches?\s+(?:used|guide|key)|special\s+stitches|key|legend|glossary|terms\s+used)\s*[:.]?\s*(?:[#*=_\s]*)$/i;

/** `Materials`, `You will need:`: a heading over a list. */
export function isListHeading(line: string): boolean {
  return listHeading.test(line);
}

/** A line of a list: with a bullet, a number of things, a measure. */
export function isListed(line: string): boolean {
  return /^\s*(?:[-–—*•·▪◦‣>☐☑✓✔]|\d{1,3}\s+(?!rounds?\b)[a-z])/i.test(line);
}
