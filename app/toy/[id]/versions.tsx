import { useLocalSearchParams } from 'expo-router';
import { VersionsPage } from '../../../src/features/pages';

export { BrokenToyPage as ErrorBoundary } from '../../../src/features/pages';

export default function VersionsRoute() {
  const { with: other } = useLocalSearchParams<{ with?: string }>();
  return <VersionsPage other={other} />;
}
