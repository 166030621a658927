import { useLocalSearchParams } from 'expo-router';
import { InventPage } from '../../../src/features/pages';

export { BrokenToyPage as ErrorBoundary } from '../../../src/features/pages';

export default function WriteRoute() {
  const { part } = useLocalSearchParams<{ part?: string }>();
  return <InventPage id={part} />;
}
