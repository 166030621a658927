import { useLocalSearchParams } from 'expo-router';
import { StretchPage } from '../../../src/features/pages';

export { BrokenToyPage as ErrorBoundary } from '../../../src/features/pages';

export default function StretchRoute() {
  const { part } = useLocalSearchParams<{ part?: string }>();
  return <StretchPage id={part} />;
}
