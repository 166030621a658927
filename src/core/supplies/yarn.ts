import { t } from '../words/language';
import Joi from 'joi';
import { gaugeFromTable, yarnWeights, type YarnWeightKey } from '../shape/yarnWeights';
import { leanOfSpiral } from '../shape/gauge';

/** A yarn with the hook the maker works it with, as kept on the yarn shelf and used by any number of toys. */
export interface Yarn {
  id: string;
  name: string;
  weight: YarnWeightKey;
  hookMm: number;
  /** over ten stitches and ten rounds, in mm; null while the table's figures are taken */
  swatch: { tenStitchesMm: number; tenRoundsMm: number } | null;
  /** stitches the round start wandered over ten plain rounds; null while the usual lean is taken */
  wandered: number | null;
}

export const yarnLimits = { hookMm: [1, 20], tenMm: [15, 400], wandered: [0, 10] } as const;

const schema = Joi.object<Yarn>({
  id: Joi.string().min(1).max(60).required(),
  name: Joi.string()
    .trim()
    .min(1)
    .max(60)
    .pattern(/^[^,\n]+$/)
    .required()
    .messages({
      'string.empty': t`Give the yarn a name.`,
      'string.pattern.base': t`A yarn’s name can’t hold a comma.`,
      'string.max': t`Keep the name under 60 signs.`,
    }),
  weight: Joi.string()
    .valid(...yarnWeights.map(({ key }) => key))
    .required(),
  hookMm: Joi.number().min(yarnLimits.hookMm[0]).max(yarnLimits.hookMm[1]).required(),
  swatch: Joi.object({
    tenStitchesMm: Joi.number().min(yarnLimits.tenMm[0]).max(yarnLimits.tenMm[1]).required(),
    tenRoundsMm: Joi.number().min(yarnLimits.tenMm[0]).max(yarnLimits.tenMm[1]).required(),
  })
    .allow(null)
    .required(),
  wandered: Joi.number().min(yarnLimits.wandered[0]).max(yarnLimits.wandered[1]).allow(null).required(),
}).prefs({ convert: false });

/** Checks what is to be kept as a yarn; the message says what to mend. */
export function readYarn(value: unknown): { ok: true; yarn: Yarn } | { ok: false; message: string } {
  const { error, value: yarn } = schema.validate(value);
  return error ? { ok: false, message: error.message } : { ok: true, yarn: yarn as Yarn };
}

/** Stitch width and round height of a yarn: measured, else by the table. */
export function gaugeOfYarn(yarn: Yarn): { widthMm: number; heightMm: number; assumed: boolean } {
  if (!yarn.swatch) return gaugeFromTable(yarn.weight, yarn.hookMm);
  return { widthMm: yarn.swatch.tenStitchesMm / 10, heightMm: yarn.swatch.tenRoundsMm / 10, assumed: false };
}

/** Stitches a spiral round leans: by the marker's wandering over ten rounds, else the usual. */
export function leanOfYarn({ wandered }: Yarn): number {
  return wandered === null ? leanOfSpiral : Math.round(wandered * 10) / 100;
}
