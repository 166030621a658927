import { useLocalSearchParams } from 'expo-router';
import { PartScreen } from '../../../src/features/part/PartScreen';

export default function PartRoute() {
  const { part, view } = useLocalSearchParams<{ part: string; view?: string }>();
  const index = Number.parseInt(part, 10) || 0;
  return <PartScreen key={index} index={index} first={view} />;
}
export { BrokenToyPage as ErrorBoundary } from '../../../src/features/BrokenPage';
