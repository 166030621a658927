import { t } from '../../core/words/language';
import { useEffect, useRef, useState } from 'react';
import { useTheme, View } from '@tamagui/core';
import { Text as Words, TextInput, View as Box } from 'react-native';
import { palette } from '../../ui/palette';
import { Fill } from '../../ui/layout';
import type { Problem } from '../../core/notation/problem';
import { useToy } from '../../data/useToy';
import { Field } from '../../ui/Field';
import { Press } from '../../ui/Press';
import { Scroll } from '../../ui/Scroll';

const type = { fontFamily: 'AtkinsonHyperlegibleNext_400Regular', fontSize: 17, lineHeight: 26 } as const;
const gutter = 34;
/** Marks are drawn on a copy of each line: of more lines than this only the text itself is drawn. */
const mostMarked = 1500;

/** What stays free above the line that is shown first. */
const above = 12;

/** Where the text begins to be read: at a line, once, when it is opened. Afterwards it stays where she reads. */
function useScrolledTo(opened: number) {
  const [line] = useState(opened);
  const ref = useRef<Box>(null);
  useEffect(() => {
    const mark = ref.current as unknown as HTMLElement | null;
    const region = mark?.closest('[role=region]');
    if (line === 1 || !mark || !region) return;
    region.scrollTop += mark.getBoundingClientRect().top - region.getBoundingClientRect().top - above;
  }, [line]);
  return { line, ref };
}

/**
 * The pattern as the maker writes it, with what is wrong marked where it stands. Everything else follows from it.
 *
 * @param from the line it is shown from when it is opened
 */
export function TextPanel({ from, onLook }: { from: number; onLook?: () => void }) {
  const { editor, text, analysis } = useToy();
  const theme = useTheme();
  const marked = new Map<number, Problem>();
  // The marks follow a moment after the typing; a line that changed since is left unmarked until then.
  if (analysis.text === text) {
    for (const problem of analysis.problems) {
      if (problem.line && problem.severity !== 'info' && !(marked.get(problem.line)?.severity === 'error'))
        marked.set(problem.line, problem);
    }
  }
  const lines = text.split('\n');
  const top = useScrolledTo(from);
  if (lines.length > mostMarked)
    return <Field label={t`Pattern text`} multiline value={text} onChange={editor.setText} />;
  return (
    <View flexGrow={1} flexShrink={1} flexBasis={0} minHeight={220} gap="$2">
      <Fill
        borderWidth={1}
        borderColor="$edge"
        borderRadius="$2"
        overflow="hidden"
        backgroundColor="$sheet"
        {...{ 'data-frame': 'yes' }}
      >
        <Scroll label={t`The text`} bare>
          <Box style={{ position: 'relative', minHeight: '100%' }}>
            <Box aria-hidden style={{ paddingVertical: 12 }}>
              {lines.map((line, index) => {
                const problem = marked.get(index + 1);
                const colour = problem?.severity === 'error' ? theme.danger.val : palette.marker;
                const at = Math.max(0, Math.min((problem?.column ?? 1) - 1, line.length - 1));
                return (
                  <Box
                    key={index}
                    {...(index + 1 === top.line ? { ref: top.ref } : {})}
                    style={{
                      paddingLeft: gutter,
                      paddingRight: 12,
                      borderLeftWidth: 4,
                      borderLeftColor: problem ? colour : 'transparent',
                    }}
                  >
                    {problem ? (
                      <Words
                        style={{
                          ...type,
                          position: 'absolute',
                          left: 10,
                          color: theme.color.val,
                          fontFamily: 'AtkinsonHyperlegibleNext_700Bold',
                        }}
                      >
                        !
                      </Words>
                    ) : null}
                    <Words style={{ ...type, color: 'transparent' }}>
                      {problem ? line.slice(0, at) : line || ' '}
                      {problem ? (
                        <Words
                          style={
                            {
                              textDecorationLine: 'underline',
                              textDecorationStyle: 'wavy',
                              textDecorationColor: colour,
                            } as object
                          }
                        >
                          {line.slice(at) || ' '}
                        </Words>
                      ) : null}
                    </Words>
                  </Box>
                );
              })}
            </Box>
            <TextInput
              aria-label={t`Pattern text`}
              value={text}
              onChangeText={editor.setText}
              multiline
              placeholder={'Head\nR1: 6 sc in magic ring [6]\nR2: inc x 6 [12]'}
              placeholderTextColor={theme.quiet.val}
              spellCheck={false}
              autoCorrect={false}
              style={{
                ...type,
                position: 'absolute',
                top: 0,
                left: 4,
                right: 0,
                bottom: 0,
                paddingLeft: gutter,
                paddingRight: 12,
                paddingVertical: 12,
                color: theme.color.val,
                backgroundColor: 'transparent',
                textAlignVertical: 'top',
                overflow: 'hidden',
              }}
            />
          </Box>
        </Scroll>
      </Fill>
      {marked.size > 0 && onLook ? (
        <Press
          label={marked.size === 1 ? t`One line needs a look` : t`${marked.size} lines need a look`}
          onPress={onLook}
        />
      ) : null}
    </View>
  );
}
