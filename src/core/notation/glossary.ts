const abbreviation = String.raw`(?:sc2tog|scs?|hdcs?|dcs?|trs?|htr|sl\.?\s*st|ss|slst|chs?|incs?|decs?|inv\.?\s*dec|invdec|mr|mc|sts?(?:\(s\))?|blo|flo|bl|fl|tog|sk|rnds?|rep|sp|beg|yo|fo|pm|\[\s*\]|\(\s*(?:\.{3}|…)?\s*\)(?:\s*x\s*\d+)?|\*(?:\s*\*)?)`;
const explained = new RegExp(
  String.raw`^\s*[*•·▪-]?\s*${abbreviation}\s*(?:\([a-z ]{1,20}\))?\s*(?::|=|[–—]|-\s)\s*(?=[a-z(]|\d+\s+(?:sc|single|st|dc|double)[a-z ]*\s+(?:in|into|together|tog|as))`,
  'i',
);

/** `sc2tog: single crochet 2 together`: a line that explains a word of the pattern, and works nothing. */
export function isGlossary(line: string): boolean {
  return explained.test(line);
}
