import { t } from '../../core/words/language';
import { useMemo, useState } from 'react';
import { View } from '@tamagui/core';
import { daysBetween, scheduleOf, type DayPlan, type Schedule } from '../../core/plan/schedule';
import { batchItems, dayItemWords, scheduleCsv, scheduleIcs, type BatchOrder } from '../../core/toy/batch';
import type { Place } from '../../core/make/run';
import type { ToyAnalysis } from '../../core/toy/analysis';
import { nameOfToy } from '../../core/keep/toyCard';
import { fileName } from '../../core/words/fileName';
import { timeWords } from '../../core/words/time';
import { OneOf } from '../../ui/Choice';
import { DateField } from '../../ui/DateField';
import { saveFile } from '../../ui/files';
import { Icon } from '../../ui/Icon';
import { NumberStep } from '../../ui/NumberStep';
import { Press } from '../../ui/Press';
import { Answer, Body, Quiet, Title } from '../../ui/text';

const isoDay = (day: Date): string =>
  [day.getFullYear(), day.getMonth() + 1, day.getDate()]
    .map((part) => String(part).padStart(2, '0'))
    .join('-');

/** A day from today on, as it stands on this maker's calendar. */
function dayFromNow(days: number): string {
  const day = new Date();
  day.setDate(day.getDate() + days);
  return isoDay(day);
}

const dayWords = (date: string): string =>
  new Date(`${date}T00:00:00Z`).toLocaleDateString(undefined, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  });

/** Monday first; the 7th of December 2026 is one. */
const weekdays = [1, 2, 3, 4, 5, 6, 0].map((weekday, i) => ({
  weekday,
  name: new Date(Date.UTC(2026, 11, 7 + i)).toLocaleDateString(undefined, {
    weekday: 'short',
    timeZone: 'UTC',
  }),
}));

const everyDay: ReadonlySet<number> = new Set(weekdays.map(({ weekday }) => weekday));
const usualMinutes = 60;
const usualDays = 14;
/** Nobody works longer on one day. */
const mostMinutes = 16 * 60;

interface BatchPlanProps {
  toy: ToyAnalysis;
  copies: number;
  /** where she is in what is half made */
  done?: Place;
}

/** What to make each day, so that so many toys are there by a certain one. */
export function BatchPlan({ toy, copies, done }: BatchPlanProps) {
  const [order, setOrder] = useState<BatchOrder>('toys');
  const [by, setBy] = useState(() => dayFromNow(usualDays));
  const [minutes, setMinutes] = useState(usualMinutes);
  const [on, setOn] = useState<ReadonlySet<number>>(everyDay);
  const schedule = useMemo(
    () => scheduleOf(batchItems(toy, copies, order, done), daysBetween(dayFromNow(0), by, on), minutes),
    [toy, copies, order, done, by, on, minutes],
  );
  return (
    <View gap="$3" role="region" aria-label={t`Over days`}>
      {copies > 1 ? (
        <OneOf
          wraps
          label={t`In which order`}
          options={[
            ['toys', t`Toy by toy`],
            ['pieces', t`The same piece of all in one go`],
          ]}
          chosen={order}
          onChoose={setOrder}
        />
      ) : null}
      <DateField label={t`Done by`} value={by} onChange={setBy} />
      <NumberStep
        label={t`Time a day`}
        unit={t`minutes`}
        value={minutes}
        step={15}
        least={15}
        most={mostMinutes}
        onChange={(next) => setMinutes(Math.round(next))}
      />
      <Weekdays on={on} onChange={setOn} />
      <Outcome schedule={schedule} />
      {schedule.days.length > 0 ? <Days days={schedule.days} copies={copies} name={nameOfToy(toy)} /> : null}
    </View>
  );
}

function Weekdays({
  on,
  onChange,
}: {
  on: ReadonlySet<number>;
  onChange: (on: ReadonlySet<number>) => void;
}) {
  const turn = (weekday: number) => {
    const next = new Set(on);
    if (!next.delete(weekday)) next.add(weekday);
    onChange(next);
  };
  return (
    <View gap="$1" role="group" aria-label={t`On which days`}>
      <Body fontWeight="700">{t`On which days`}</Body>
      <View flexDirection="row" flexWrap="wrap" gap="$2">
        {weekdays.map(({ weekday, name }) => (
          <Press
            key={weekday}
            tight
            role="switch"
            label={name}
            chosen={on.has(weekday)}
            onPress={() => turn(weekday)}
          />
        ))}
      </View>
    </View>
  );
}

/** Whether it will be done by then, and what would do if not. */
function Outcome({ schedule: { days, lackingMinutes, enoughADay } }: { schedule: Schedule }) {
  const last = days.at(-1);
  if (enoughADay === null)
    return (
      <Body role="status">{t`There is no day to work on until then. Choose a later one, or more days.`}</Body>
    );
  return (
    <View gap="$1" role="status">
      <Answer>
        {lackingMinutes > 0 || !last
          ? t`${timeWords(lackingMinutes)} too little`
          : t`Done on ${dayWords(last.date)}`}
      </Answer>
      {lackingMinutes > 0 ? (
        <Body>
          {enoughADay > mostMinutes
            ? t`No day is long enough for that: choose a later one, or fewer toys.`
            : t`${timeWords(enoughADay)} a day would do.`}
        </Body>
      ) : null}
    </View>
  );
}

function Days({ days, copies, name }: { days: readonly DayPlan[]; copies: number; name: string }) {
  const title = copies === 1 ? name : `${copies} × ${name}`;
  return (
    <>
      <View render="ul" margin={0} padding={0} gap="$2" aria-label={t`What to make each day`}>
        {days.map(({ date, items, minutes }) => (
          <View render="li" key={date} style={{ listStyleType: 'none' }}>
            <Title render="h3" margin={0} fontSize="$4" lineHeight="$4">
              {dayWords(date)}
            </Title>
            {items.map((item, i) => (
              <Body key={i}>{dayItemWords(item, copies)}</Body>
            ))}
            <Quiet>{timeWords(minutes)}</Quiet>
          </View>
        ))}
      </View>
      <View flexDirection="row" gap="$2">
        <Press
          grow
          label={t`Calendar`}
          name={t`Save it for a calendar`}
          icon={<Icon name="download" />}
          onPress={() =>
            saveFile(`${fileName(name)}-days.ics`, scheduleIcs(days, title, copies), 'text/calendar')
          }
        />
        <Press
          grow
          label={t`Spreadsheet`}
          name={t`Save it for a spreadsheet`}
          icon={<Icon name="download" />}
          onPress={() => saveFile(`${fileName(name)}-days.csv`, scheduleCsv(days, copies), 'text/csv')}
        />
      </View>
      <Quiet>{t`By your own pace where Hoppla knows it, else by usual figures for stitches a minute and for what is done at stops.`}</Quiet>
    </>
  );
}
