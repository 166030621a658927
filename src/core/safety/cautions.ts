import { t } from '../words/language';
/**
 * The usual cautions of careful makers, shown wherever something that can hurt is planned. Not the text of any law: local rules and
 * qualified testing decide.
 */
export const eyeCaution = t`Eyes with washers are small parts and can come off. They are not for children under three: embroider the eyes instead. Tug every eye hard before giving the toy away.`;

export const generalCaution = t`Hoppla helps with care and keeps records; it certifies nothing. Toys for sale must be tested and marked as the law of the place requires.`;
