import { useLocalSearchParams } from 'expo-router';
import { PartScreen } from '../../../src/features/part/PartScreen';

export default function PartRoute() {
  const { part, view } = useLocalSearchParams<{ part: string; view?: string }>();
  return <PartScreen key={part} id={part} first={view} />;
}
export { BrokenToyPage as ErrorBoundary } from '../../../src/features/toy/BrokenToyPage';
