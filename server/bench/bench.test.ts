import express from 'express';
import * as fc from 'fast-check';
import type { AddressInfo } from 'node:net';
import type { Server } from 'node:http';
import { request } from 'node:http';
import { createApp } from '../app';
import { createBench } from './bench';
import { faults, instruments, readingAt, readingsPerSecond, type Course } from './instrument';

const [gauge, scale] = instruments;
const course = (more: Partial<Course> = {}): Course => ({
  seed: 7,
  load: 92,
  holdSeconds: 12,
  repeats: false,
  fault: 'none',
  ...more,
});
const valuesOf = (of: Course, until = 200) =>
  Array.from({ length: until }, (_, i) => readingAt(gauge!, of, i).value);

let server: Server;
let at = '';
let time = 0;
beforeAll(async () => {
  const app = express();
  app.use(
    '/bench',
    createBench(() => time),
  );
  server = app.listen(0, '127.0.0.1');
  await new Promise((ready) => {
    server.once('listening', ready);
  });
  at = `http://127.0.0.1:${(server.address() as AddressInfo).port}/bench`;
});
afterAll(() => {
  server.closeAllConnections();
  server.close();
});

const setCourse = (id: string, body: unknown, headers: Record<string, string> = {}) =>
  fetch(`${at}/${id}/course`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...headers },
    body: JSON.stringify(body),
  });

/** Reads a stream until so many readings came or it was cut. */
function watched(id: string, wanted: number, lastId?: string): Promise<{ ids: string[]; isCut: boolean }> {
  return new Promise((done) => {
    const ids: string[] = [];
    let text = '';
    const asked = request(
      `${at}/${id}/stream`,
      { headers: lastId ? { 'last-event-id': lastId } : {} },
      (response) => {
        response.on('data', (chunk: Buffer) => {
          text += chunk.toString();
          ids.splice(0, ids.length, ...[...text.matchAll(/^id: (.+)$/gm)].map(([, one]) => one ?? ''));
          if (ids.length < wanted) return;
          done({ ids, isCut: false });
          asked.destroy();
        });
        response.on('close', () => done({ ids, isCut: true }));
        response.on('error', () => undefined);
      },
    );
    asked.on('error', () => undefined);
    asked.end();
  });
}

test('a pull: nothing, five seconds up, held, let go', () => {
  const values = valuesOf(course());
  // 1 s of rest, half way after 3.5 s, 92 N from 6 s to 18 s, nothing after.
  expect(values[5]).toBeLessThan(0.5);
  expect(values[35]).toBeCloseTo(46, 0);
  for (const value of values.slice(60, 180)) expect(Math.abs((value ?? 0) - 92)).toBeLessThanOrEqual(0.3);
  expect(values[190]).toBeLessThan(0.5);
});

test('a pull that repeats comes on again', () => {
  // Nineteen seconds are one pull with its rests: 26 s are as 7 s.
  const values = valuesOf(course({ repeats: true }), 300);
  expect(values[185]).toBeLessThan(0.5);
  expect(values[260]).toBeCloseTo(92, 0);
});

test('the same seed gives the same readings, another others', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 0xffffffff }),
      fc.constantFrom(...faults),
      fc.nat({ max: 400 }),
      (seed, fault, index) => {
        const one = readingAt(gauge!, course({ seed, fault }), index);
        expect(readingAt(gauge!, course({ seed, fault }), index)).toEqual(one);
        expect(one.value === null).toBe(one.isOver);
        expect(one.value ?? 0).toBeGreaterThanOrEqual(0);
      },
    ),
  );
  expect(valuesOf(course({ seed: 1 }))).not.toEqual(valuesOf(course({ seed: 2 })));
});

test.each<[Course['fault'], (values: (number | null)[]) => void]>([
  ['overload', (values) => expect(values.slice(60, 180).every((value) => value === null)).toBe(true)],
  ['stuck', (values) => expect(new Set(values.slice(40)).size).toBe(1)],
  [
    'noise',
    (values) =>
      expect(
        Math.max(...values.map(Number)) - Math.min(...values.slice(60, 180).map(Number)),
      ).toBeGreaterThan(20),
  ],
  // 92 N are 20.68 lbf.
  ['wrong-unit', (values) => expect(values[100]).toBeCloseTo(20.68, 0)],
])('%s', (fault, check) => {
  check(valuesOf(course({ fault })));
});

test('what is there is listed; a reading and a course by their instrument', async () => {
  const list = (await (await fetch(at)).json()) as { id: string }[];
  expect(list.map(({ id }) => id)).toEqual(['gauge', 'scale']);
  expect((await setCourse('scale', { load: 120, seed: 3 })).status).toBe(200);
  time += 10_000;
  const reading = (await (await fetch(`${at}/scale/reading`)).json()) as { value: number; unit: string };
  expect(reading.value).toBeCloseTo(120, 0);
  expect(reading.unit).toBe('g');
  expect(reading.value).toBe(readingAt(scale!, course({ load: 120, seed: 3 }), 100).value);
  expect((await fetch(`${at}/thermometer/reading`)).status).toBe(404);
});

test.each([
  [{ load: '92' }, 400],
  [{ load: -1 }, 400],
  [{ load: 92, fault: 'fire' }, 400],
  [{ load: 92, more: 1 }, 400],
  [{}, 400],
  [{ load: 92, holdSeconds: 1e9 }, 400],
  [{ load: 92, pad: 'x'.repeat(5000) }, 413],
])('a course of %j is refused', async (body, status) => {
  expect((await setCourse('gauge', body)).status).toBe(status);
});

test('a page from elsewhere changes nothing', async () => {
  expect((await setCourse('gauge', { load: 50 }, { origin: 'http://elsewhere.example' })).status).toBe(403);
  expect((await setCourse('gauge', { load: 50 }, { origin: 'null' })).status).toBe(403);
  expect((await setCourse('gauge', { load: 50 }, { origin: new URL(at).origin })).status).toBe(200);
  const form = await fetch(`${at}/gauge/course`, {
    method: 'POST',
    body: new URLSearchParams({ load: '50' }),
  });
  expect(form.status).toBe(400);
});

test('after a cut line every missed reading comes', async () => {
  await setCourse('gauge', { load: 92, fault: 'dropped' });
  time += 4_000;
  const [first] = (await watched('gauge', 1)).ids;
  const run = first!.split('-')[0];
  const one = await watched('gauge', 1_000, `${run}-0`);
  expect(one.isCut).toBe(true);
  expect(one.ids).toEqual(Array.from({ length: 25 }, (_, i) => `${run}-${i + 1}`));
  const two = await watched('gauge', 10, one.ids.at(-1));
  expect(two.ids[0]).toBe(`${run}-26`);
  // Of another course nothing is missed: it begins with what is shown now.
  await setCourse('gauge', { load: 92 });
  time += 1_000;
  const other = await watched('gauge', 1, `${run}-26`);
  expect(other.ids).toEqual([`${Number(run) + 1}-${readingsPerSecond}`]);
});

test('a thousand requests, and no more than a few watch at once', async () => {
  const statuses: number[] = [];
  for (let i = 0; i < 1_000; i += 20) {
    const some = await Promise.all(
      Array.from({ length: 20 }, (_, j) =>
        j % 5 === 0
          ? setCourse('gauge', { load: (i + j) % 200, seed: i + j, fault: faults[(i + j) % faults.length] })
          : fetch(`${at}/${j % 2 === 0 ? 'gauge' : 'scale'}/reading`),
      ),
    );
    statuses.push(...some.map(({ status }) => status));
    await Promise.all(some.map((response) => response.arrayBuffer()));
  }
  expect(statuses).toHaveLength(1_000);
  expect(new Set(statuses)).toEqual(new Set([200]));
  await setCourse('gauge', { load: 10 });
  const pages = Array.from({ length: 16 }, () => request(`${at}/gauge/stream`).on('error', () => undefined));
  await Promise.all(
    pages.map(
      (page) =>
        new Promise<void>((open) => {
          page.on('response', () => open());
          page.end();
        }),
    ),
  );
  expect((await fetch(`${at}/gauge/stream`)).status).toBe(503);
  for (const page of pages) page.destroy();
});

test('the app has the bench', async () => {
  const app = createApp('/nowhere', false).listen(0, '127.0.0.1');
  await new Promise((ready) => {
    app.once('listening', ready);
  });
  const response = await fetch(`http://127.0.0.1:${(app.address() as AddressInfo).port}/bench`);
  expect(response.headers.get('content-type')).toContain('json');
  app.close();
  app.closeAllConnections();
});
