import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Suspense, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import { findingsQuery, setupQuery, viewQuery } from '../api/queries';
import type { Finding, SetupDocument, SetupView, Station } from '../api/types';
import { BenchProvider, useBench, useBenchState } from '../bench/BenchProvider';
import { Dock } from '../bench/Dock';
import { StandBack } from '../bench/StandBack';
import { isEmpty, VerdictPanel } from './VerdictPanel';
import { PathRibbon } from '../path/PathRibbon';
import { isStation, STATION_NAMES } from '../api/stations';
import { ProofGate } from '../proof/ProofGate';
import { ProofStation } from '../proof/ProofStation';
import { Brand } from '../shell/Brand';
import { CommandPalette } from '../shell/CommandPalette';
import { Header } from '../shell/Header';
import { later } from '../shell/later';
import { ServerAway } from '../shell/ServerAway';
import { ShortcutSheet } from '../shell/ShortcutSheet';
import { HandsStation } from '../stations/hands/HandsStation';
import { ModelStation } from '../stations/model/ModelStation';
import { CraftStation } from '../stations/craft/CraftStation';
import { Notice } from '../ui/Notice';
import { RefusalContext } from '../ui/refusal';
import { Boundary } from '../ui/Boundary';
import clsx from 'clsx';
import { useFolded } from '../ui/useFolded';
import { useMatch } from '../ui/useMatch';
import { useUnpressed } from '../ui/useUnpressed';
import { HistorySheet } from './HistorySheet';
import { NextStep } from '../work/NextStep';
import { pageOf } from '../work/places';
import { useWork } from '../work/useWork';
import { WorkPage } from '../work/WorkPage';
import { useVerdict } from './useVerdict';
import { LookContext, useLooking } from '../edits/look';
import { useChanges, type Changes } from '../edits/useChanges';
import { LookAheadCard } from './LookAheadCard';

// Pages that are opened now and then come when they are asked for.
const AirStation = later(() => import('../stations/air/AirStation'));
const BoardStation = later(() => import('../stations/board/BoardStation'));
const ReturnStation = later(() => import('../stations/return/ReturnStation'));
const WireStation = later(() => import('../stations/wire/WireStation'));

/** The page of one craft: the path above, the open station and the findings in the middle, the bench below. */
export default function SetupPage() {
  const { id = '', station } = useParams();
  const document = useQuery(setupQuery(id));
  const view = useQuery(viewQuery(id));
  const findings = useQuery(findingsQuery(id));
  const failed = document.error ?? view.error ?? findings.error;

  const page = station === 'proof' || station === 'work' || isStation(station) ? station : undefined;
  if (station !== undefined && page === undefined) return <Navigate to={`/craft/${id}/model`} replace />;
  if (document.data && view.data && findings.data)
    return (
      <BenchProvider key={id} setup={id}>
        <Workbench document={document.data} view={view.data} findings={findings.data} page={page ?? 'model'} />
      </BenchProvider>
    );
  return (
    <main className="mx-auto flex max-w-3xl flex-col gap-4 p-6">
      <ServerAway />
      <Brand />
      <h1 className="sr-only">Craft</h1>
      {failed ? (
        <Notice title={failed.message}>
          <p className="flex gap-4">
            <button type="button" className="font-semibold underline" onClick={() => void document.refetch()}>
              Try again
            </button>
            <Link className="font-semibold underline" to="/">
              To the hangar
            </Link>
          </p>
        </Notice>
      ) : (
        <p role="status">Opening the craft…</p>
      )}
    </main>
  );
}

interface Props {
  document: SetupDocument;
  view: SetupView;
  findings: Finding[];
  page: Page;
}

/** What is open: a station of the path, the proof of all of it, or what remains to be done. */
type Page = Station | 'proof' | 'work';

/** What a page is called. */
const PAGE_NAMES: Record<Page, string> = { ...STATION_NAMES, proof: 'Proof', work: 'What remains' };

type Overlay = 'palette' | 'keys' | 'stand-back' | 'history' | null;

function Workbench({ document, view, findings, page }: Props) {
  const changes = useChanges(document.id);
  const back = useBenchState((s) => s.back !== null);
  const look = useLooking(document.id, document.revision, useBench().followed);
  const { data: verdict } = useVerdict(document.id);
  const { data: work } = useWork(document.id);
  const navigate = useNavigate();
  const next = work?.work.steps.find((s) => s.id === work.work.next);
  const [overlay, setOverlay] = useState<Overlay>(null);
  const overlayProps = (name: Overlay) => ({
    open: overlay === name,
    onOpenChange: (open: boolean) => setOverlay(open ? name : null),
  });
  const [pathFolded, setPathFolded] = useFolded('path');
  const [scrolledOn, setScrolledOn] = useState<Page | null>(null);
  const scrolled = useUnpressed(scrolledOn === page);
  // Where little is wide enough the path is one line, and the verdict stands above the work.
  const narrow = useMatch('(width < 64rem)');
  const line = pathFolded || scrolled || narrow;
  useHotkeys('alt+p', () => setPathFolded(!pathFolded), { preventDefault: true, enableOnFormTags: true }, [pathFolded]);
  const workRef = useRef<HTMLElement>(null);
  // Nothing moves under a pointer because the path above gives way.
  const top = useRef(0);
  useLayoutEffect(() => {
    const work = workRef.current;
    if (!work) return;
    const moved = work.getBoundingClientRect().top - top.current;
    top.current += moved;
    if (scrolled) work.scrollTop += moved;
  }, [line, scrolled]);
  const before = useRef(page);
  useEffect(() => {
    if (before.current === page) return;
    before.current = page;
    workRef.current?.focus({ preventScroll: true });
  }, [page]);
  useFollowRevision(document);
  useHotkeys('ctrl+z, meta+z', () => void changes.undo(), { preventDefault: true });
  useHotkeys('ctrl+shift+z, meta+shift+z', () => void changes.redo(), {
    preventDefault: true,
  });
  useHotkeys('ctrl+k, meta+k', () => setOverlay('palette'), { preventDefault: true, enableOnFormTags: true });
  useHotkeys('alt+n', () => next && void navigate(pageOf(document.id, next)), {
    preventDefault: true,
    enableOnFormTags: true,
  });
  useHotkeys('f6, shift+f6', (event) => focusRegion(event.shiftKey ? -1 : 1), {
    preventDefault: true,
    enableOnFormTags: true,
  });
  useHotkeys('ctrl+slash, meta+slash', () => setOverlay('keys'), { preventDefault: true, enableOnFormTags: true });
  useHotkeys('ctrl+period, meta+period', () => window.document.getElementById('dock')?.focus(), {
    preventDefault: true,
    enableOnFormTags: true,
  });

  const [unrolled, setUnrolled] = useState(false);
  // Where nothing is open the verdict needs no more than a rail. While it is not known yet, the work stays as wide as it is.
  const [empty, setEmpty] = useState(false);
  const nowEmpty = isEmpty(verdict, document.revision) ?? empty;
  if (nowEmpty !== empty) setEmpty(nowEmpty);
  const railed = useUnpressed(!narrow && !unrolled && empty);
  const panel = (
    <Boundary name="What is wrong" resetKeys={[document.revision]}>
      <VerdictPanel
        document={document}
        view={verdict}
        changes={changes}
        look={narrow ? 'line' : railed ? 'rail' : 'full'}
        onRail={empty ? setUnrolled : undefined}
      />
    </Boundary>
  );

  return (
    <LookContext value={look}>
      <div className="screen flex h-dvh flex-col" data-back={back || undefined}>
        <a
          href="#work"
          className="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:bg-ink focus:px-3 focus:py-2 focus:text-paper"
          onClick={(event) => {
            // The address says which page it is, and stays.
            event.preventDefault();
            workRef.current?.focus();
          }}
        >
          To the work
        </a>
        <p className="on-paper border-b border-ink pb-1 text-sm">
          <b>{document.setup.craft.name}</b> · revision {document.revision} · {PAGE_NAMES[page]} ·{' '}
          {new Date().toLocaleDateString('en-GB', { dateStyle: 'medium' })} · a simulated pass is not a bench pass
        </p>
        <title>{`${document.setup.craft.name} · Zephyros`}</title>
        <ServerAway />
        {/* On a phone everything above the bench scrolls together; nothing ever lies under the bench. */}
        <div className="flex min-h-0 flex-1 flex-col max-md:relative max-md:block max-md:overflow-y-auto">
          <Header
            document={document}
            view={view}
            changes={changes}
            onOpen={setOverlay}
            next={<NextStep craft={document.id} work={work?.work} />}
          />
          <Boundary name="The path" resetKeys={[document.revision]}>
            <PathRibbon
              id={document.id}
              setup={document.setup}
              ways={view.return.sensors}
              findings={findings}
              here={isStation(page) ? page : undefined}
              folded={line}
              onFold={setPathFolded}
              ahead={look.ahead?.path}
              end={<ProofGate setup={document.id} folded={line} />}
            />
          </Boundary>
          <main
            className={clsx(
              'relative grid min-h-0 flex-1 max-lg:grid-cols-1 max-lg:grid-rows-[auto_minmax(0,1fr)] max-lg:overflow-y-auto max-md:overflow-visible',
              railed ? 'grid-cols-[minmax(0,1fr)_3rem]' : 'grid-cols-[minmax(0,1fr)_21rem]',
            )}
          >
            {narrow && panel}
            {/* It scrolls, so it can be reached with the keyboard even where nothing in it can be. */}
            <section
              aria-label={PAGE_NAMES[page]}
              // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
              tabIndex={0}
              // A station begins at its top, and with the focus.
              key={page}
              ref={workRef}
              id="work"
              data-testid="work"
              className="relative min-h-0 overflow-y-auto px-5 pt-2 pb-3 max-lg:overflow-visible max-sm:px-3"
              onScroll={(event) => setScrolledOn(isScrolled(event.currentTarget, scrolled) ? page : null)}
            >
              {changes.state.kind === 'failed' && (
                <div className="mb-3">
                  <Notice title="Not saved">
                    <p>{changes.state.message}</p>
                  </Notice>
                </div>
              )}
              <RefusalContext value={changes.state.kind === 'failed' ? changes.state : null}>
                <Suspense fallback={<p className="text-soft">Loading…</p>}>
                  <Boundary name={PAGE_NAMES[page]} resetKeys={[page, document.revision]}>
                    <OpenPage page={page} document={document} view={view} changes={changes} />
                  </Boundary>
                </Suspense>
              </RefusalContext>
            </section>
            {!narrow && panel}
          </main>
        </div>
        <LookAheadCard look={look} />
        <Boundary name="The bench" resetKeys={[document.revision]}>
          <Dock
            key={document.setup.transmitter.name}
            transmitter={document.setup.transmitter.name}
            controls={view.controls}
            uses={view.uses}
            located={document.setup.board.equipment?.positionReceiver ?? false}
            onStandBack={() => setOverlay('stand-back')}
          />
        </Boundary>
        <StandBack {...overlayProps('stand-back')} />
        <ShortcutSheet {...overlayProps('keys')} />
        <HistorySheet id={document.id} changes={changes} {...overlayProps('history')} />
        <CommandPalette
          {...overlayProps('palette')}
          document={document}
          view={view}
          verdict={verdict}
          work={work?.work}
          changes={changes}
          onShow={setOverlay}
        />
      </div>
    </LookContext>
  );
}

function OpenPage({ page, document, view, changes }: Omit<Props, 'findings'> & { changes: Changes }) {
  if (page === 'work') return <WorkPage id={document.id} revision={document.revision} />;
  if (page === 'proof') return <ProofStation id={document.id} setup={document.setup} changes={changes} />;
  if (page === 'hands') return <HandsStation id={document.id} setup={document.setup} view={view} changes={changes} />;
  if (page === 'model') return <ModelStation id={document.id} setup={document.setup} view={view} changes={changes} />;
  if (page === 'board') return <BoardStation id={document.id} setup={document.setup} view={view} changes={changes} />;
  if (page === 'air') return <AirStation id={document.id} setup={document.setup} view={view} changes={changes} />;
  if (page === 'return') return <ReturnStation id={document.id} setup={document.setup} view={view} changes={changes} />;
  if (page === 'wire') return <WireStation id={document.id} setup={document.setup} view={view} changes={changes} />;
  return <CraftStation />;
}

/** What the keyboard goes round with F6: the head, the path, the work, the verdict, the bench. */
const REGIONS = ['header button', 'nav a', '#work', 'aside :is(button, a, summary)', '#dock'];

/** Puts the focus into the next region of the page, or the one before. */
function focusRegion(by: 1 | -1): void {
  const places = REGIONS.map((r) => window.document.querySelector<HTMLElement>(r)).filter((r) => r !== null);
  const regionOf = (place: Element | null) => place?.closest('header, nav, #work, aside, #dock');
  const here = regionOf(window.document.activeElement);
  const at = places.findIndex((place) => regionOf(place) === here);
  places[(at + by + places.length) % places.length]?.focus();
}

/** The path gives way once the work is scrolled so far, in pixels, and comes back at its top. It is more than the path gives, so that the
 *  work stays scrolled when what is in sight is kept where it was. */
const PATH_ROOM = 170;

function isScrolled({ scrollTop, scrollHeight, clientHeight }: HTMLElement, before: boolean): boolean {
  if (before) return scrollTop > 0;
  return scrollTop > PATH_ROOM && scrollHeight - clientHeight > PATH_ROOM;
}

/** The bench says which revision it runs; another tab may have saved a newer one. */
function useFollowRevision(document: SetupDocument): void {
  const client = useQueryClient();
  const onBench = useBenchState((s) => s.message?.revision ?? 0);
  useEffect(() => {
    if (onBench > document.revision) void client.invalidateQueries({ queryKey: ['setup', document.id] });
  }, [client, onBench, document.id, document.revision]);
}
