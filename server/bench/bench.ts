import express, { type Request, type Response, type Router } from 'express';
import Joi from 'joi';
import {
  droppedAfter,
  faults,
  instruments,
  readingAt,
  readingsPerSecond,
  type Course,
  type Instrument,
} from './instrument';

/** So many pages may watch at once, and a course is no longer than this. */
const mostWatching = 16;
const longestSeconds = 120;
const largestBody = '2kb';

const usualCourse: Readonly<Record<Instrument['id'], Course>> = {
  gauge: { seed: 1, load: 92, holdSeconds: 12, repeats: true, fault: 'none' },
  scale: { seed: 1, load: 84, holdSeconds: 30, repeats: true, fault: 'none' },
};

const courseSchema = Joi.object<Course>({
  seed: Joi.number().integer().min(0).max(0xffffffff).default(1),
  load: Joi.number().min(0).max(10_000).required(),
  holdSeconds: Joi.number().min(0).max(longestSeconds).default(12),
  repeats: Joi.boolean().default(false),
  fault: Joi.valid(...faults).default('none'),
}).prefs({ convert: false });

/** An instrument with the course it runs, and since when. */
interface Running {
  instrument: Instrument;
  course: Course;
  startedAt: number;
  /** which course, so that a page that comes back knows whether its readings are of this one */
  run: number;
}

/** Where a page that comes back left off: `run-index`; -1 where it is new, or the course is another. */
function lastSeen({ run }: Running, id: string | undefined): number {
  const found = /^(\d{1,9})-(\d{1,9})$/.exec(id ?? '');
  return found && Number(found[1]) === run ? Number(found[2]) : -1;
}

/** Whether a page of this very address asks; a page from elsewhere, or a form on one, changes nothing. */
function isOwnPage(request: Request): boolean {
  const { origin, host } = request.headers;
  if (origin === undefined) return true;
  return URL.canParse(origin) && new URL(origin).host === host;
}

/**
 * A bench with a force gauge and a kitchen scale, both simulated: for trying out how readings come in. `docs/devices.md` says what a
 * real one has to answer.
 */
export function createBench(now: () => number = Date.now): Router {
  const bench = express.Router();
  const running = new Map(
    instruments.map((instrument): [string, Running] => [
      instrument.id,
      { instrument, course: usualCourse[instrument.id], startedAt: now(), run: 1 },
    ]),
  );
  let watching = 0;

  const asked = ({ params }: Request, response: Response): Running | null => {
    const found = running.get(String(params.id));
    if (!found) response.status(404).json({ message: 'There is no such instrument.' });
    return found ?? null;
  };
  const indexNow = ({ startedAt }: Running) => Math.floor(((now() - startedAt) * readingsPerSecond) / 1000);

  bench.get('/', (_request, response) => {
    response
      .set('Cache-Control', 'no-store')
      .json(instruments.map(({ id, name, kind, unit, most }) => ({ id, name, kind, unit, most })));
  });

  bench.get('/:id/reading', (request, response) => {
    const own = asked(request, response);
    if (!own) return;
    response.set('Cache-Control', 'no-store').json(readingAt(own.instrument, own.course, indexNow(own)));
  });

  bench.get('/:id/stream', (request, response) => {
    const own = asked(request, response);
    if (!own) return;
    if (watching >= mostWatching) {
      response.status(503).json({ message: 'Too many pages watch this instrument. Close some.' });
      return;
    }
    watching += 1;
    const id = request.headers['last-event-id'];
    stream(own, lastSeen(own, Array.isArray(id) ? id[0] : id), response, indexNow);
    response.on('close', () => {
      watching -= 1;
    });
  });

  bench.post('/:id/course', express.json({ limit: largestBody, strict: true }), (request, response) => {
    const own = asked(request, response);
    if (!own) return;
    if (!isOwnPage(request)) {
      response.status(403).json({ message: 'Only a page of this address may do that.' });
      return;
    }
    const { error, value } = courseSchema.validate(request.body ?? {});
    if (error) {
      response.status(400).json({ message: `${error.message}. See docs/devices.md.` });
      return;
    }
    Object.assign(own, { course: value, startedAt: now(), run: own.run + 1 });
    response.json({ run: own.run });
  });
  return bench;
}

/** Sends every reading from the one after `seen` on, those missed while the line was cut too. */
function stream(own: Running, seen: number, response: Response, indexNow: (own: Running) => number): void {
  response.set({
    'Content-Type': 'text/event-stream',
    'Cache-Control': 'no-store, no-transform',
    Connection: 'keep-alive',
  });
  response.flushHeaders();
  // A page comes back a quarter of a second after its line was cut.
  response.write('retry: 250\n\n');
  let { run } = own;
  // Who is new begins with what is shown now.
  let next = seen >= 0 ? seen + 1 : Math.max(0, indexNow(own));
  let sent = 0;
  const timer = setInterval(() => send(), 1000 / readingsPerSecond);
  const send = () => {
    if (own.run !== run) {
      run = own.run;
      next = 0;
    }
    for (const until = indexNow(own); next <= until; next += 1) {
      const reading = readingAt(own.instrument, own.course, next);
      response.write(`id: ${run}-${next}\ndata: ${JSON.stringify({ run, ...reading })}\n\n`);
      sent += 1;
      const isCut = own.course.fault === 'dropped' && sent >= droppedAfter;
      if (!isCut) continue;
      // As a pulled cable does it: what was sent arrives, and nothing says that it was the end.
      clearInterval(timer);
      response.socket?.destroySoon();
      return;
    }
  };
  response.on('close', () => clearInterval(timer));
  send();
}
