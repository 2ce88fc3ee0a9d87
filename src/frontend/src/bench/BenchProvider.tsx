import { replaceEqualDeep } from '@tanstack/react-query';
import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useState,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import { BenchLink, type BenchState } from './BenchLink';

/** A control that is moved. */
export interface Movement {
  id: string;
  to: number;
  /** How far from where it was. */
  by: number;
}

interface Bench {
  link: BenchLink;
  /** The control that is followed along the path. */
  followed: string;
  /** True when a control of its own choice is followed, whatever moves. */
  pinned: boolean;
  /** Follows a control for good; null follows whatever moves. */
  pin: (control: string | null) => void;
  /** Moves a control, and follows it unless another is pinned. */
  move: (control: string, setting: number) => void;
  /** Moves several at the same moment, and follows the one that moves most. */
  moveTogether: (movements: readonly Movement[]) => void;
}

const BenchContext = createContext<Bench | null>(null);

/** Connects the pages below it to the live bench of a setup. */
export function BenchProvider({ setup, children }: { setup: string; children: ReactNode }) {
  const [link, setLink] = useState<BenchLink | null>(null);
  const [followed, setFollowed] = useState('throttle');
  const [pinned, setPinned] = useState(false);

  useEffect(() => {
    const opened = new BenchLink(setup);
    void opened.open();
    // eslint-disable-next-line react-hooks/set-state-in-effect -- the connection is the external thing that this effect keeps
    setLink(opened);
    return () => opened.close();
  }, [setup]);

  const follow = useCallback(
    (control: string) => {
      setFollowed(control);
      link?.follow(control);
    },
    [link],
  );

  const bench = useMemo<Bench | null>(
    () =>
      link && {
        link,
        followed,
        pinned,
        pin: (control) => {
          setPinned(control !== null);
          if (control !== null) follow(control);
        },
        move: (control, setting) => {
          if (!pinned) follow(control);
          link.move(control, setting);
        },
        moveTogether: (movements) => {
          const most = movements.reduce<Movement | null>((a, b) => (a && a.by > b.by ? a : b), null);
          if (most && !pinned) follow(most.id);
          for (const { id, to } of movements) link.move(id, to);
        },
      },
    [link, followed, pinned, follow],
  );
  return bench && <BenchContext.Provider value={bench}>{children}</BenchContext.Provider>;
}

/** The bench of the page's setup. */
export function useBench(): Bench {
  const bench = useContext(BenchContext);
  if (!bench) throw new Error('useBench needs a BenchProvider above it.');
  return bench;
}

/** Gives back what it gave before as long as the contents are the same. */
function sharing<T>(): (next: T) => T {
  let last: T | undefined;
  return (next) => (last = replaceEqualDeep(last, next));
}

/** A part of the bench's state. The component renders again only when the part is another one, compared by its contents. */
export function useBenchState<T>(select: (state: BenchState) => T): T {
  const { link } = useBench();
  const [share] = useState(() => sharing<T>());
  return useSyncExternalStore(link.subscribe, () => share(select(link.snapshot())));
}
