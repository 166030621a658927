import { useLocalSearchParams } from 'expo-router';
import { PartPage } from '../../../src/features/pages';

export default function PartRoute() {
  const { part, view } = useLocalSearchParams<{ part: string; view?: string }>();
  return <PartPage key={part} id={part} first={view} />;
}
export { BrokenToyPage as ErrorBoundary } from '../../../src/features/pages';
