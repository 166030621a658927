import type { ErrorBoundaryProps } from 'expo-router';
import { BrokenPage } from '../BrokenPage';
import { PlainText } from './PlainText';

/** What stands in the place of a page of an open toy that broke: its text can still be read, changed and saved. */
export function BrokenToyPage(props: ErrorBoundaryProps) {
  return <BrokenPage {...props} instead={<PlainText />} />;
}
