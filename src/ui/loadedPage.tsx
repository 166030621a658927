import { Suspense, use, useState, type ComponentType } from 'react';
import { UnlessHeldBack } from './HoldBack';
import { Opening } from './Opening';

/**
 * Pages that come from a file which is loaded when the first of them is shown; until then they say that they open.
 *
 * @param load loads the file; asked again after it failed
 */
export function loadedPage<Pages>(load: () => Promise<Pages>) {
  let loading: Promise<Pages> | null = null;
  const loaded = (): Promise<Pages> => {
    loading ??= load().catch((reason: unknown) => {
      loading = null;
      throw reason;
    });
    return loading;
  };
  return <Props extends object>(pick: (pages: Pages) => ComponentType<Props>): ComponentType<Props> => {
    function Loaded({ pages, props }: { pages: Promise<Pages>; props: Props }) {
      const Shown = pick(use(pages));
      return <Shown {...props} />;
    }
    return function LoadedPage(props) {
      // Held out here, where it outlives the waiting: a page that could not be loaded asks again only when it is shown anew.
      const [pages] = useState(loaded);
      return (
        <UnlessHeldBack>
          <Suspense fallback={<Opening />}>
            <Loaded pages={pages} props={props} />
          </Suspense>
        </UnlessHeldBack>
      );
    };
  };
}
