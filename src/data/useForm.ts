import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { PartAnalysis } from '../core/toy/analyse';
import { formInputOf, formKey } from '../core/toy/formOfPart';
import type { RelaxedForm } from '../core/shape/form/relaxForm';
import { RelaxError, relaxInWorker } from '../workers/relaxer';

export interface PartForm3d {
  /** the newest form there is; null before the first */
  form: RelaxedForm | null;
  settling: boolean;
  /** why it was not worked out to its end; null where nothing is wrong */
  trouble: RelaxError['why'] | null;
  retry: () => void;
}

/** The relaxed form of a part: at rest where it is known, else as it settles. Forms are kept, so that coming back shows one at once. */
export function useForm(part: PartAnalysis | undefined): PartForm3d {
  const client = useQueryClient();
  const input = useMemo(() => (part && part.fabric.rounds > 0 ? formInputOf(part) : null), [part]);
  const key = useMemo(() => ['form', input ? formKey(input) : 'none'], [input]);
  const { data, isFetching, error, refetch } = useQuery<RelaxedForm | null>({
    queryKey: key,
    enabled: input !== null,
    // What was left half settled is taken up again.
    staleTime: (query) => (query.state.data?.resting ? Infinity : 0),
    gcTime: 10 * 60_000,
    retry: false,
    queryFn: async ({ signal }) => {
      if (!input) return null;
      const form = await relaxInWorker(
        input,
        (soFar) => {
          client.setQueryData(key, soFar);
        },
        signal,
      );
      // Given up for a newer wish: what had settled so far stays.
      return form ?? client.getQueryData<RelaxedForm>(key) ?? null;
    },
  });
  return {
    form: data ?? null,
    settling: isFetching,
    trouble: error && (error instanceof RelaxError ? error.why : 'broke'),
    retry: () => void refetch(),
  };
}
