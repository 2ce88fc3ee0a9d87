import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api } from '../../api/client';
import { measurementsQuery } from '../../api/queries';
import type { MeasurementRecord, MeasurementView, Setup, SetupView, StickAxis } from '../../api/types';
import { UnreadableEvidence } from '../../edits/UnreadableEvidence';
import type { Changes } from '../../edits/useChanges';
import { Button } from '../../ui/Button';
import { ChoiceField } from '../../ui/ChoiceField';
import { Notice } from '../../ui/Notice';
import { useKept } from '../../ui/useKept';
import { FromRecording } from './FromRecording';
import { GuidedRoutine } from './GuidedRoutine';
import { SweepTable } from './SweepTable';
import { SwitchTable } from './SwitchTable';
import { TypedRoutine } from './TypedRoutine';
import { fromShape, useMeasured, type From } from './useMeasured';
import { WiggleTable } from './WiggleTable';

/** The axes in the order in which they are moved. */
const AXES: readonly StickAxis[] = ['throttle', 'roll', 'pitch', 'yaw'];

const SOURCES: readonly { value: From; label: string }[] = [
  { value: 'bench', label: 'the simulated board' },
  { value: 'board', label: 'my own board, typed' },
  { value: 'wire', label: 'a recording of the wire' },
];

interface Props {
  id: string;
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** The sticks and switches against what the board shows: what answers what, how far it goes, and how to put it right in one place. */
export function MeasurePart({ id, setup, view, changes }: Props) {
  const client = useQueryClient();
  const measured = useMeasured(id);
  const [source, setSource] = useKept<From>('zephyros.measure.from', fromShape, 'bench');
  const { data: kept = [] } = useQuery(measurementsQuery(id));
  const path = { params: { path: { id } } };
  const simulate = useMutation({
    mutationFn: () => answer(api.GET('/api/setups/{id}/simulated-measurement', path)),
    onSuccess: (all) => measured.take('bench', all),
  });
  const keep = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/setups/{id}/measurements', {
          params: { path: { id }, query: { revision: measured.revision } },
          body: { ...measured.readings, simulated: measured.simulated, note: '' },
        }),
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: ['setup', id] }),
  });
  const { sticks, switches, sticksStand, switchesStand } = measured;
  return (
    <>
      <p className="mb-3 max-w-[75ch] text-soft">
        Propellers off. Move one stick at a time, fully, and read what the board shows. Nothing is changed until you
        apply it; correct in one place only.
      </p>
      <div className="mb-2">
        <ChoiceField label="Read from" value={source} options={SOURCES} onChange={setSource} />
      </div>
      <div className="mb-3 flex flex-wrap items-center gap-2">
        {source === 'bench' && (
          <>
            <GuidedRoutine onDone={(readings) => measured.take('bench', readings)} />
            <Button onClick={() => simulate.mutate()} disabled={simulate.isPending}>
              Read all at once
            </Button>
          </>
        )}
        {source === 'board' && <TypedRoutine id={id} onDone={(readings) => measured.take('board', readings)} />}
        {source === 'wire' && <FromRecording id={id} onMeasured={(readings, from) => measured.take(from, readings)} />}
      </div>
      {measured.some && (
        <div className="mb-4 flex flex-wrap items-center gap-2 border-y border-hair py-2">
          <span className="mr-2 text-sm">
            {measured.simulated
              ? 'On the table: of the simulated board, which proves nothing of the real one.'
              : 'On the table: what you measured.'}
          </span>
          <Button disabled={keep.isPending} onClick={() => keep.mutate()}>
            Record this measurement
          </Button>
          <Button onClick={measured.clear}>Clear</Button>
        </div>
      )}
      {(keep.error ?? simulate.error) && (
        <div className="mb-3">
          <Notice title={(keep.error ?? simulate.error)!.message} />
        </div>
      )}
      {(sticksStand.changed || switchesStand.changed) && (
        <div className="mb-3">
          <Notice title="Measure again before you correct anything else">
            <p>Something between the sticks and the board&apos;s bars was changed after this was measured.</p>
          </Notice>
        </div>
      )}
      <WiggleTable
        id={id}
        axes={AXES}
        seen={sticks.wiggles}
        changes={changes}
        stale={sticksStand.blocked}
        onSee={(axis, seen) => {
          const others = Object.entries(sticks.wiggles).filter(([moved]) => moved !== axis);
          measured.amendSticks({ wiggles: Object.fromEntries(seen ? [...others, [axis, seen]] : others) });
        }}
      />
      <SweepTable
        id={id}
        axes={AXES}
        sweeps={sticks.sweeps}
        changes={changes}
        stale={sticksStand.blocked}
        onSweep={(changed) => measured.amendSticks({ sweeps: { ...sticks.sweeps, ...changed } })}
      />
      <SwitchTable
        id={id}
        setup={setup}
        rows={view.measuredRows}
        seen={switches.positions}
        changes={changes}
        stale={switchesStand.blocked}
        onSee={measured.amendSwitches}
      />
      <UnreadableEvidence setup={id} />
      <Recorded
        kept={kept}
        onTake={({ wiggles = [], sweeps = {}, positions = [], simulated }) =>
          measured.take(simulated ? 'bench' : 'board', { wiggles, sweeps, positions })
        }
      />
    </>
  );
}

interface RecordedProps {
  kept: readonly MeasurementView[];
  /** Puts a measurement that still stands on the table again. */
  onTake: (record: MeasurementRecord) => void;
}

function Recorded({ kept, onTake }: RecordedProps) {
  return (
    <section aria-labelledby="measured" className="mb-6">
      <h2 id="measured" className="text-lg font-bold">
        {kept.length === 0 ? 'No measurement is recorded' : 'Measurements that were recorded'}
      </h2>
      <ul>
        {kept.map((made) => (
          <li key={made.id} className="flex flex-wrap items-center gap-x-4 border-b border-hair py-1.5">
            <time className="font-bold" dateTime={made.takenAt}>
              {new Date(made.takenAt).toLocaleString()}
            </time>
            <span>
              {made.record.wiggles?.length ?? 0} wiggles, {Object.keys(made.record.sweeps ?? {}).length} sweeps,{' '}
              {made.record.positions?.length ?? 0} positions
              {made.record.simulated && ', of the simulated board'}
            </span>
            <b className={made.changed.length > 0 ? 'text-rust' : 'text-moss'}>
              {made.changed.length > 0 ? `stale: changed since is ${made.changed.join(', ')}` : 'stands'}
            </b>
            {made.changed.length === 0 && <Button onClick={() => onTake(made.record)}>Put on the table again</Button>}
          </li>
        ))}
      </ul>
    </section>
  );
}
