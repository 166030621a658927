import { shippedRules } from '../safety/ruleBook';
import { holdingsOf } from '../toy/holding';
import { safetyOf } from '../toy/safetyOf';
import { recordHtml, recordMarkdown, recordSheet, recordText } from '../toy/sheet/recordSheet';
import { buildSheet } from '../toy/sheet/buildSheet';
import { sheetHtml } from '../toy/sheet/sheetHtml';
import { sheetMarkdown } from '../toy/sheet/sheetMarkdown';
import { sheetText } from '../toy/sheet/sheetText';
import { fabricMap } from '../shape/map';
import { analyseToy, type ToyAnalysis } from '../toy/analyse';

const badWords = /\bNaN\b|\bundefined\b|\bInfinity\b|\[object |function \w+\(/;

/** The first place in a value that holds no number where there should be one, or words that no maker should see; null where all is well. */
function firstBad(value: unknown, place: string, seen: Set<unknown>): string | null {
  if (typeof value === 'number') return Number.isFinite(value) ? null : `${place} is ${value}`;
  if (typeof value === 'string')
    return badWords.test(value) ? `${place} says ${badWords.exec(value)?.[0]}: ${value.slice(0, 120)}` : null;
  if (typeof value !== 'object' || value === null || seen.has(value)) return null;
  seen.add(value);
  if (ArrayBuffer.isView(value)) {
    const list = value as Float64Array;
    for (let i = 0; i < list.length; i += 1)
      if (!Number.isFinite(list[i])) return `${place}[${i}] is ${list[i]}`;
    return null;
  }
  for (const [name, inner] of Object.entries(value)) {
    if (name === 'code') continue;
    const bad = firstBad(inner, `${place}.${name}`, seen);
    if (bad) return bad;
  }
  return null;
}

/** What a maker's own words say is not held against an answer: her lines stand in it as they are. */
const innocent = (text: string) => text.replace(/NaN|undefined|Infinity|\[object|function/g, 'word');

/**
 * Analyses a text and makes all that is shown, printed and drawn of it.
 *
 * @returns what is wrong with the answer: it threw, a step of it failed, or there is no number where one should be; null where it is sound
 */
export function unsound(given: string): string | null {
  const text = innocent(given);
  let toy: ToyAnalysis;
  try {
    toy = analyseToy(text);
    const failed = toy.problems.find(({ code }) => code === 'step-failed' || code === 'line-failed');
    if (failed) return failed.message;
    const { text: _text, pattern: _pattern, ...answers } = toy;
    const parts = answers.parts.map(({ source: _source, form: _form, ...rest }) => rest);
    const sheet = buildSheet(toy);
    const printed = [sheetMarkdown(sheet), sheetText(sheet), sheetHtml(sheet)];
    const record = recordSheet(toy, 1, []);
    printed.push(recordText(record), recordMarkdown(record), recordHtml(record));
    const safety = [
      safetyOf(toy),
      holdingsOf(toy, null, shippedRules).map(({ edits, ...held }) => [held, ...edits]),
    ];
    const drawn = toy.parts.filter((part) => part.fabric.rounds > 0).map((part) => fabricMap(part.map));
    return firstBad({ parts, problems: toy.problems, sheet, printed, drawn, safety }, 'toy', new Set());
  } catch (failure) {
    return failure instanceof Error ? `threw ${failure.stack?.split('\n').slice(0, 4).join(' ')}` : 'threw';
  }
}
