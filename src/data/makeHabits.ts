import Joi from 'joi';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { TapFor } from '../core/make/run';
import { storage } from './storage';

/** How this maker likes to be kept company. */
export interface MakeHabits {
  by: TapFor;
  /** the next line is spoken */
  speaks: boolean;
  /** a tap is felt, a stop more so */
  buzzes: boolean;
  /** the screen stays on */
  awake: boolean;
  /** how a round is done is drawn without being asked for */
  teaches: boolean;
}

const usual: MakeHabits = { by: 'repeat', speaks: false, buzzes: true, awake: true, teaches: false };
const schema = Joi.object<MakeHabits>({
  by: Joi.valid('stitch', 'repeat', 'round').required(),
  speaks: Joi.boolean().required(),
  buzzes: Joi.boolean().required(),
  awake: Joi.boolean().required(),
  // Habits kept before there were drawings don't say.
  teaches: Joi.boolean().default(false),
});

const key = 'hoppla/habit/make';
const queryKey = ['habit', 'make'] as const;

async function read(): Promise<MakeHabits> {
  const kept = await storage.getItem(key);
  if (kept === null) return usual;
  try {
    const { error, value } = schema.validate(JSON.parse(kept));
    return error ? usual : (value as MakeHabits);
  } catch {
    return usual;
  }
}

export function useMakeHabits() {
  const client = useQueryClient();
  const { data } = useQuery({ queryKey, queryFn: read });
  const keep = useMutation({
    mutationFn: (habits: MakeHabits) => storage.setItem(key, JSON.stringify(habits)),
    onMutate: async (habits) => {
      // A read on its way would bring back what was kept before.
      await client.cancelQueries({ queryKey });
      client.setQueryData(queryKey, habits);
    },
  });
  const habits = data ?? usual;
  return { habits, change: (some: Partial<MakeHabits>) => keep.mutate({ ...habits, ...some }) };
}
