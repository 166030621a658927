import type { ReactNode } from 'react';
import { ScrollView } from 'react-native';
import { palette } from './palette';

/** A part of the screen that scrolls, by thumb, wheel or keyboard. */
export function Scroll({
  label,
  children,
  paper = false,
  bare = false,
}: {
  label: string;
  children: ReactNode;
  paper?: boolean;
  bare?: boolean;
}) {
  return (
    <ScrollView
      role="region"
      aria-label={label}
      {...({ tabIndex: 0 } as object)}
      style={{ flex: 1, minHeight: 0, ...(paper ? { backgroundColor: palette.paper } : {}) }}
      contentContainerStyle={bare ? { flexGrow: 1 } : { padding: 16, paddingBottom: 32, flexGrow: 1 }}
    >
      {children}
    </ScrollView>
  );
}
