import Joi from 'joi';

/** What something costs: so much for so many grams, metres or pieces. */
export interface Price {
  price: number;
  per: number;
}

/** What a maker means to make, what is there for it, and what things cost her. */
export interface MakingList {
  toys: readonly { id: string; count: number }[];
  /** what is in the box, by the key of what is needed, in its unit */
  there: Readonly<Record<string, number>>;
  prices: Readonly<Record<string, Price>>;
  /** bought with so much to spare, in percent; what comes by the piece has none */
  spare: number;
  /** what an hour of her work is to bring; null while she does not say */
  rate: number | null;
  /** what she asks for a toy, by its id */
  asking: Readonly<Record<string, number>>;
}

export const emptyList: MakingList = { toys: [], there: {}, prices: {}, spare: 10, rate: null, asking: {} };

/** Most toys of a kind, and most kinds. */
export const listLimits = { count: 200, kinds: 300, amount: 1_000_000, price: 100_000 } as const;

const key = Joi.string().max(300);
const schema = Joi.object<MakingList>({
  toys: Joi.array()
    .max(listLimits.kinds)
    .items(
      Joi.object({
        id: Joi.string().max(60).required(),
        count: Joi.number().integer().min(1).max(listLimits.count).required(),
      }),
    )
    .unique('id')
    .required(),
  there: Joi.object().pattern(key, Joi.number().min(0).max(listLimits.amount)).required(),
  prices: Joi.object()
    .pattern(
      key,
      Joi.object({
        price: Joi.number().min(0).max(listLimits.price).required(),
        per: Joi.number().greater(0).max(listLimits.amount).required(),
      }),
    )
    .required(),
  spare: Joi.number().min(0).max(100).required(),
  rate: Joi.number().min(0).max(listLimits.price).allow(null).required(),
  // Lists kept before prices were asked have none.
  asking: Joi.object().pattern(Joi.string().max(60), Joi.number().min(0).max(listLimits.price)).default({}),
}).prefs({ convert: false });

/** The list as it is kept; null where what is kept is none. */
export function readMakingList(kept: unknown): MakingList | null {
  const { error, value } = schema.validate(kept);
  return error ? null : (value as MakingList);
}
