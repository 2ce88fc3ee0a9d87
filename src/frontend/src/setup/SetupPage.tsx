import { useQuery, useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, Navigate, useParams } from 'react-router';
import { findingsQuery, setupQuery, viewQuery } from '../api/queries';
import type { Finding, SetupDocument, SetupView, Station } from '../api/types';
import { BenchProvider, useBenchState } from '../bench/BenchProvider';
import { Dock } from '../bench/Dock';
import { StandBack } from '../bench/StandBack';
import { VerdictPanel } from './VerdictPanel';
import { PathRibbon } from '../path/PathRibbon';
import { isStation, STATION_NAMES } from '../api/stations';
import { ProofGate } from '../proof/ProofGate';
import { ProofStation } from '../proof/ProofStation';
import { Brand } from '../shell/Brand';
import { CommandPalette } from '../shell/CommandPalette';
import { Header } from '../shell/Header';
import { ShortcutSheet } from '../shell/ShortcutSheet';
import { HandsStation } from '../stations/hands/HandsStation';
import { ModelStation } from '../stations/model/ModelStation';
import { CraftStation } from '../stations/craft/CraftStation';
import { Notice } from '../ui/Notice';
import { RefusalContext } from '../ui/refusal';
import { Boundary } from '../ui/Boundary';
import { HistorySheet } from './HistorySheet';
import { useChanges, type Changes } from '../edits/useChanges';

// Pages that are opened now and then come when they are asked for.
const AirStation = lazy(() => import('../stations/air/AirStation'));
const BoardStation = lazy(() => import('../stations/board/BoardStation'));
const WireStation = lazy(() => import('../stations/wire/WireStation'));

/** The page of one craft: the path above, the open station and the findings in the middle, the bench below. */
export default function SetupPage() {
  const { id = '', station } = useParams();
  const document = useQuery(setupQuery(id));
  const view = useQuery(viewQuery(id));
  const findings = useQuery(findingsQuery(id));
  const failed = document.error ?? view.error ?? findings.error;

  const page = station === 'proof' || isStation(station) ? station : undefined;
  if (station !== undefined && page === undefined) return <Navigate to={`/craft/${id}/model`} replace />;
  if (document.data && view.data && findings.data)
    return (
      <BenchProvider key={id} setup={id}>
        <Workbench document={document.data} view={view.data} findings={findings.data} page={page ?? 'model'} />
      </BenchProvider>
    );
  return (
    <main className="mx-auto flex max-w-3xl flex-col gap-4 p-6">
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

/** What is open: a station of the path, or the proof of all of it. */
type Page = Station | 'proof';

type Overlay = 'palette' | 'keys' | 'stand-back' | 'history' | null;

function Workbench({ document, view, findings, page }: Props) {
  const changes = useChanges(document.id);
  const [overlay, setOverlay] = useState<Overlay>(null);
  const overlayProps = (name: Overlay) => ({
    open: overlay === name,
    onOpenChange: (open: boolean) => setOverlay(open ? name : null),
  });
  useFollowRevision(document);
  useHotkeys('ctrl+z, meta+z', () => void changes.undo(), { preventDefault: true });
  useHotkeys('ctrl+shift+z, meta+shift+z', () => void changes.redo(), {
    preventDefault: true,
  });
  useHotkeys('ctrl+k, meta+k', () => setOverlay('palette'), { preventDefault: true, enableOnFormTags: true });
  useHotkeys('ctrl+slash, meta+slash', () => setOverlay('keys'), { preventDefault: true, enableOnFormTags: true });
  useHotkeys('ctrl+period, meta+period', () => window.document.getElementById('dock')?.focus(), {
    preventDefault: true,
    enableOnFormTags: true,
  });

  return (
    <div className="flex h-dvh flex-col">
      <title>{`${document.setup.craft.name} · Zephyros`}</title>
      {/* On a phone everything above the bench scrolls together; nothing ever lies under the bench. */}
      <div className="flex min-h-0 flex-1 flex-col max-md:relative max-md:block max-md:overflow-y-auto">
        <Header document={document} view={view} changes={changes} onOpen={setOverlay} />
        <Boundary name="The path" resetKeys={[document.revision]}>
          <PathRibbon setup={document.id} findings={findings} end={<ProofGate setup={document.id} />} />
        </Boundary>
        <main className="relative grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_21rem] max-lg:grid-cols-1 max-lg:overflow-y-auto max-md:overflow-visible">
          {/* It scrolls, so it can be reached with the keyboard even where nothing in it can be. */}
          <section
            aria-label={page === 'proof' ? 'Proof' : STATION_NAMES[page]}
            // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
            tabIndex={0}
            className="relative min-h-0 overflow-y-auto p-5 max-lg:overflow-visible max-sm:px-3"
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
                <Boundary
                  name={page === 'proof' ? 'The proof' : STATION_NAMES[page]}
                  resetKeys={[page, document.revision]}
                >
                  <OpenPage page={page} document={document} view={view} changes={changes} />
                </Boundary>
              </Suspense>
            </RefusalContext>
          </section>
          <aside className="relative min-h-0 overflow-y-auto border-line p-4 max-lg:overflow-visible max-lg:border-t lg:border-l">
            <Boundary name="What is wrong" resetKeys={[document.revision]}>
              <VerdictPanel document={document} findings={findings} changes={changes} />
            </Boundary>
          </aside>
        </main>
      </div>
      <Boundary name="The bench" resetKeys={[document.revision]}>
        <Dock
          key={document.setup.transmitter.name}
          transmitter={document.setup.transmitter.name}
          controls={view.controls}
          onStandBack={() => setOverlay('stand-back')}
        />
      </Boundary>
      <StandBack {...overlayProps('stand-back')} />
      <ShortcutSheet {...overlayProps('keys')} />
      <HistorySheet id={document.id} {...overlayProps('history')} />
      <CommandPalette
        {...overlayProps('palette')}
        document={document}
        view={view}
        findings={findings}
        changes={changes}
        onShow={setOverlay}
      />
    </div>
  );
}

function OpenPage({ page, document, view, changes }: Omit<Props, 'findings'> & { changes: Changes }) {
  if (page === 'proof') return <ProofStation id={document.id} setup={document.setup} changes={changes} />;
  if (page === 'hands') return <HandsStation setup={document.setup} view={view} changes={changes} />;
  if (page === 'model') return <ModelStation id={document.id} setup={document.setup} view={view} changes={changes} />;
  if (page === 'board') return <BoardStation id={document.id} setup={document.setup} view={view} changes={changes} />;
  if (page === 'air') return <AirStation id={document.id} setup={document.setup} view={view} changes={changes} />;
  if (page === 'wire') return <WireStation id={document.id} setup={document.setup} view={view} changes={changes} />;
  return <CraftStation />;
}

/** The bench says which revision it runs; another tab may have saved a newer one. */
function useFollowRevision(document: SetupDocument): void {
  const client = useQueryClient();
  const onBench = useBenchState((s) => s.message?.revision ?? 0);
  useEffect(() => {
    if (onBench > document.revision) void client.invalidateQueries({ queryKey: ['setup', document.id] });
  }, [client, onBench, document.id, document.revision]);
}
