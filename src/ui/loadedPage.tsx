import {
  createContext,
  Suspense,
  use,
  useContext,
  useState,
  type ComponentType,
  type ReactNode,
} from 'react';
import { Opening } from './Opening';

const HeldBack = createContext(false);

/** Holds back the pages below: they are in their places, so that the address keeps naming them, and show nothing yet. */
export const HoldBack = ({ children }: { children: ReactNode }) => <HeldBack value>{children}</HeldBack>;

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
  /** @param opening what stands there until then */
  return <Props extends object>(
    pick: (pages: Pages) => ComponentType<Props>,
    opening: ReactNode = <Opening />,
  ): ComponentType<Props> => {
    function Loaded({ pages, props }: { pages: Promise<Pages>; props: Props }) {
      const Shown = pick(use(pages));
      return <Shown {...props} />;
    }
    return function LoadedPage(props) {
      // Held out here, where it outlives the waiting: a page that could not be loaded asks again only when it is shown anew.
      const [pages] = useState(loaded);
      if (useContext(HeldBack)) return null;
      return (
        <Suspense fallback={opening}>
          <Loaded pages={pages} props={props} />
        </Suspense>
      );
    };
  };
}
