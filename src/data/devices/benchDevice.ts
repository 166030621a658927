import Joi from 'joi';
import type { Device } from './device';

/** An instrument as the bench lists it. */
interface Listed {
  id: string;
  name: string;
  kind: 'force' | 'mass';
}

const listSchema = Joi.array<Listed[]>()
  .items(
    Joi.object({
      id: Joi.string()
        .pattern(/^[a-z0-9-]{1,40}$/)
        .required(),
      name: Joi.string().max(80).required(),
      kind: Joi.valid('force', 'mass').required(),
    }).unknown(),
  )
  .max(20);

interface Sent {
  run: number;
  at: number;
  value: number | null;
  unit: string;
  isOver: boolean;
}
const sentSchema = Joi.object<Sent>({
  run: Joi.number().integer().min(0).required(),
  at: Joi.number().min(0).required(),
  value: Joi.number().allow(null).required(),
  unit: Joi.string().max(12).required(),
  isOver: Joi.boolean().required(),
})
  .unknown()
  .prefs({ convert: false });

function readSent(data: unknown): Sent | null {
  try {
    const { error, value } = sentSchema.validate(JSON.parse(String(data)));
    return error ? null : value;
  } catch {
    return null;
  }
}

/** An instrument of the bench that the server answers for. A line that is cut is taken up where it broke off. */
function benchDevice({ id, name, kind }: Listed): Device {
  return {
    id,
    name,
    kind,
    watch: ({ onReading, onStart, onLine }) => {
      const source = new EventSource(`/bench/${id}/stream`);
      let run: number | null = null;
      source.onopen = () => onLine(true);
      source.onerror = () => onLine(false);
      source.onmessage = ({ data }) => {
        const sent = readSent(data);
        if (!sent) return;
        if (run !== sent.run) onStart();
        ({ run } = sent);
        const { at, value, unit, isOver } = sent;
        onReading({ at, value, unit, isOver });
      };
      return () => source.close();
    },
  };
}

/** The instruments that are there; none where no server answers for any. */
export async function benchDevices(): Promise<Device[]> {
  try {
    const response = await fetch('/bench', { headers: { accept: 'application/json' } });
    if (!response.ok) return [];
    const { error, value } = listSchema.validate(await response.json());
    return error ? [] : value.map(benchDevice);
  } catch {
    return [];
  }
}
