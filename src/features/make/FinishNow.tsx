import { t } from '../../core/words/language';
import { View } from '@tamagui/core';
import type { Task } from '../../core/make/tasks';
import { Answer, Body, Quiet } from '../../ui/text';

type FinishTask = Extract<Task, { kind: 'finish' }>;

/** What is done on finished pieces: step after step, the one that comes now the largest. */
export function FinishNow({ task, move }: { task: FinishTask; move: number }) {
  const now = task.steps[move] ?? task.title;
  const next = task.steps[move + 1];
  return (
    <View gap="$4">
      <Answer fontSize="$6" lineHeight="$6">
        {task.title}
      </Answer>
      <View gap="$1" role="status">
        {task.steps.length > 1 ? (
          <Body fontWeight="700">{t`Step ${move + 1} of ${task.steps.length}`}</Body>
        ) : null}
        <Answer fontSize={now.length > 60 ? 28 : 40} lineHeight={now.length > 60 ? 34 : 46}>
          {now}
        </Answer>
      </View>
      {task.aside ? (
        <View borderLeftWidth={4} borderColor="$marker" paddingLeft="$3">
          <Body fontSize="$4">{task.aside}</Body>
        </View>
      ) : null}
      {next ? <Quiet>{t`Then: ${next}`}</Quiet> : null}
    </View>
  );
}
