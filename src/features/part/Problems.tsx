import { t } from '../../core/words/language';
import type { Problem, Suggestion } from '../../core/notation/problem';
import { Notice } from '../../ui/Notice';
import { Press } from '../../ui/Press';

/** More at once than anyone reads would hold up the page. */
const mostShown = 40;

/** What is not right, each with the taps that mend it. */
export function Problems({
  problems,
  onApply,
  showLine = false,
}: {
  problems: readonly Problem[];
  onApply: (suggestion: Suggestion) => void;
  showLine?: boolean;
}) {
  const rest = problems.length - mostShown;
  return [
    ...problems.slice(0, mostShown).map((problem, index) => (
      <Notice
        key={`${problem.code}-${problem.line}-${index}`}
        tone={problem.severity === 'error' ? 'wrong' : problem.severity === 'warning' ? 'look' : 'plain'}
        actions={problem.suggestions.map((suggestion) => (
          <Press key={suggestion.title} label={suggestion.title} onPress={() => onApply(suggestion)} />
        ))}
      >
        {problem.message}
        {showLine && problem.line ? t` (line ${problem.line})` : ''}
      </Notice>
    )),
    rest > 0 ? (
      <Notice key="rest" tone="plain">{t`And ${rest} more. They show once these are settled.`}</Notice>
    ) : null,
  ];
}
