import pluralize from 'pluralize';
import type { NamedPart } from './names';
import type { MomentSaid, Said } from './said';

/** `Put a bell inside before closing`, `Add a 20 mm magnet to the base` */
export interface EncloseSentence extends Said, MomentSaid {
  kind: 'enclose';
  /** what goes in, as she calls it: `bell`, `bag of pellets` */
  thing: string;
  /** across it, in mm; null where that is not said */
  sizeMm: number | null;
  /** the part that is named; null for the one it stands with */
  part: NamedPart | null;
}

const verb = String.raw`\b(?:put|insert|place|add|slip|tuck|pop|hide|drop|enclose|push|include|lay|sew|slide)\b`;
/** What may stand before the name of a thing. */
const lead = String.raw`(?:\s+(?:in|inside|an?|the|your|its|some|one|two|three|few|small|little|tiny|large|big|flat|round|plastic|metal|wooden|jingle|thin|heavy|\d+(?:[.,]\d+)?\s*(?:mm|cm)|\d+))*`;
const bagged = String.raw`(?:(?:small\s+|little\s+|tiny\s+)?(?:bags?|pouch(?:es)?|sachets?|nylon\s+(?:bags?|stockings?))\s+(?:of|with|filled\s+with)\s+(?:[a-z]+\s+)?)`;
/** What is made to lie in a toy and nowhere else. */
const alwaysInside = String.raw`(?:rattles?|rattle\s+(?:balls?|inserts?)|squeakers?|music\s+box(?:es)?|sound\s+modules?|weights?|weighting\s+(?:stones?|beads?)|(?:poly\s+|plastic\s+|glass\s+)?pellets|crinkle\s+(?:paper|foil|film)|heat\s+packs?|insoles?)`;
/** What goes in where the sentence says so, and else may hang outside. */
const maybeInside = String.raw`(?:bells?|magnets?|stones?|pebbles?|marbles?|coins?|beads|rice|sand|lentils|beans|lavender|catnip|(?:card(?:board)?|plastic|felt)\s+(?:discs?|circles?|rounds?|bases?|soles?)|discs?\s+of\s+(?:card(?:board)?|plastic)|pipe\s+cleaners?|chenille\s+(?:stems?|sticks?)|wires?|sticks?|dowels?|straws?|skewers?)`;
const enclosed = new RegExp(
  `${verb}${lead}\\s+(${bagged}?${alwaysInside}|${bagged}[a-z]+|${maybeInside})(?![a-z-])`,
  'i',
);
const isAlways = new RegExp(`^(?:${bagged}|${alwaysInside})`, 'i');
const saysInside =
  /\b(?:inside|within|into|(?:in|to)\s+(?:the|its|his|her|each)\s+(?:[a-z]+\s+)?(?:body|head|belly|tummy|base|bottom|foot|feet|legs?|arms?|paws?|middle|cent(?:re|er)|stuffing|limbs?|tail|ears?|wings?|neck)|before\s+(?:you\s+)?(?:clos|stuff|fasten)\w*|(?:while|when|as)\s+(?:you\s+)?(?:are\s+)?stuff\w*|with\s+the\s+stuffing|half[- ]?stuffed|through\s+the\s+(?:neck|legs?|arms?|tail))\b/i;
const outside =
  /\b(?:outside|around\s+the\s+neck|collar|hang\w*|dangl\w*|on\s+the\s+(?:front|back|outside))\b/i;
const refused = /\b(?:do\s+not|don['’]?t|never|no)\s+(?:put|insert|add|place|use)\b/i;
const sized = /(\d+(?:[.,]\d+)?)\s*(mm|cm)\b/i;

/** What a sentence puts inside a part, in its words, in the singular where it is one thing; null where it puts nothing there. */
export function enclosedIn(text: string): string | null {
  const thing = enclosed.exec(text)?.[1];
  if (!thing || refused.test(text) || outside.test(text)) return null;
  const words = thing.toLowerCase().replace(/\s+/g, ' ');
  return isAlways.test(words) || saysInside.test(text) ? words : null;
}

/**
 * Reads what a sentence puts inside.
 *
 * @param after the round after which it says so, by its number
 */
export function readEnclose(said: Said, thing: string, after: number | undefined): EncloseSentence {
  const [, number, unit] = sized.exec(said.text) ?? [];
  const size = number === undefined ? null : Number(number.replace(',', '.')) * (unit === 'cm' ? 10 : 1);
  return {
    ...said,
    kind: 'enclose',
    thing,
    sizeMm: size,
    part: null,
    ...(after === undefined ? {} : { after }),
  };
}

/** The sentence that is read back to the same. */
export function writeEnclose({ thing, sizeMm, part, after }: EncloseSentence): string {
  const moment = after === undefined ? 'Put' : `After round ${after}, put`;
  const isMany = pluralize.isPlural(thing) && !pluralize.isSingular(thing);
  const size = sizeMm === null ? '' : ` ${sizeMm} mm`;
  const where = part ? `into the ${part.name.toLowerCase()}` : 'inside';
  return `${moment} ${isMany ? 'the' : 'a'}${size} ${thing} ${where}.`;
}
