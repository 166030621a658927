import { t } from '../../core/words/language';
import { useEffect, useRef } from 'react';
import { activateKeepAwakeAsync, deactivateKeepAwake } from 'expo-keep-awake';
import type { Task } from '../../core/make/tasks';

const tag = 'making';

/** Keeps the screen on while something is made; the browser lets go of it when the page is hidden, so it is asked again. */
export function useAwake(wanted: boolean): void {
  useEffect(() => {
    if (!wanted) return undefined;
    // Where the browser does not let a page do this, the phone's own setting holds.
    const ask = () => void activateKeepAwakeAsync(tag).catch(() => undefined);
    const askAgain = () => {
      if (document.visibilityState === 'visible') ask();
    };
    ask();
    document.addEventListener('visibilitychange', askAgain);
    return () => {
      document.removeEventListener('visibilitychange', askAgain);
      void deactivateKeepAwake(tag).catch(() => undefined);
    };
  }, [wanted]);
}

/** What is said aloud when a task begins. */
export function spokenWords(task: Task): string {
  if (task.kind === 'round')
    return task.row
      ? t`Row ${task.label}. ${task.words}. ${task.moves.stitches} stitches.`
      : t`Round ${task.label}. ${task.words}. ${task.moves.stitches} stitches.`;
  if (task.kind === 'stop') return t`Stop. ${task.titles.join('. ')}.`;
  return `${task.unit.name}. ${task.title}.`;
}

/** Speaks each new task with the browser's own voice. */
export function useSpeaking(task: Task | undefined, wanted: boolean): void {
  const last = useRef<Task | undefined>(undefined);
  useEffect(() => {
    if (!wanted || !task || last.current === task) return undefined;
    last.current = task;
    let isCurrent = true;
    void import('expo-speech').then(({ speak, stop }) => {
      if (!isCurrent) return;
      stop();
      speak(spokenWords(task), { language: 'en' });
    });
    return () => {
      isCurrent = false;
    };
  }, [task, wanted]);
}

/** A tap is felt; a stop is felt differently. */
export function buzz(kind: 'tap' | 'stop'): void {
  void import('expo-haptics').then(
    ({ impactAsync, notificationAsync, ImpactFeedbackStyle, NotificationFeedbackType }) =>
      (kind === 'tap'
        ? impactAsync(ImpactFeedbackStyle.Light)
        : notificationAsync(NotificationFeedbackType.Warning)
      ).catch(() => undefined),
  );
}

/** Where letters go in; where arrows choose; what Space and Enter press. */
const takes = {
  all: 'input,textarea',
  arrows: '[role=radio],[role=tab],[role=slider]',
  presses: 'button,a,[role=button],[role=checkbox],[role=switch],[role=link]',
};

/** Space, Enter and the right arrow go on, backspace and the left arrow go back, where no control has a use of its own for them. */
export function useKeys(on: () => void, back: () => void): void {
  const acts = useRef({ on, back });
  useEffect(() => {
    acts.current = { on, back };
  });
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const isWithin = (selector: string) =>
        event.target instanceof Element && event.target.closest(selector);
      const isArrow = event.key === 'ArrowRight' || event.key === 'ArrowLeft';
      const isPress = event.key === ' ' || event.key === 'Enter';
      const isHeld = event.altKey || event.ctrlKey || event.metaKey;
      if (isHeld || isWithin(takes.all)) return;
      if ((isArrow && isWithin(takes.arrows)) || (isPress && isWithin(`${takes.presses},${takes.arrows}`)))
        return;
      const goesOn = isPress || event.key === 'ArrowRight';
      const goesBack = event.key === 'Backspace' || event.key === 'ArrowLeft';
      if (!goesOn && !goesBack) return;
      event.preventDefault();
      if (goesOn) acts.current.on();
      else acts.current.back();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
}
