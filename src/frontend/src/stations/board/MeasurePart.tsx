import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../../api/client';
import { measurementsQuery } from '../../api/queries';
import type { PositionSeen, Setup, SetupView, StickAxis, Sweep, WiggleSeen } from '../../api/types';
import type { Changes } from '../../setup/useChanges';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { FromRecording } from './FromRecording';
import { GuidedRoutine } from './GuidedRoutine';
import { SweepTable } from './SweepTable';
import { SwitchTable } from './SwitchTable';
import { useStale } from './useStale';
import { WiggleTable } from './WiggleTable';

/** The axes in the order in which they are moved. */
const AXES: readonly StickAxis[] = ['throttle', 'roll', 'pitch', 'yaw'];

interface Props {
  id: string;
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** The sticks against the board's bars: what answers what, how far it goes, and how to put it right in one place. */
export function MeasurePart({ id, setup, view, changes }: Props) {
  const client = useQueryClient();
  const [wiggles, setWiggles] = useState<Partial<Record<StickAxis, WiggleSeen>>>({});
  const [sweeps, setSweeps] = useState<Partial<Record<StickAxis, Sweep>>>({});
  const [positions, setPositions] = useState<readonly PositionSeen[]>([]);
  const [simulated, setSimulated] = useState(false);
  const [stale, measured] = useStale(setup);
  const { data: kept = [] } = useQuery(measurementsQuery(id));
  const path = { params: { path: { id } } };
  const simulate = useMutation({
    mutationFn: () => answer(api.GET('/api/setups/{id}/simulated-measurement', path)),
    onSuccess: (all) => {
      setWiggles(Object.fromEntries(all.wiggles.map((w) => [w.moved, w])));
      setSweeps(all.sweeps);
      setPositions(all.positions);
      setSimulated(true);
      measured();
    },
  });
  const keep = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/setups/{id}/measurements', {
          ...path,
          body: { wiggles: Object.values(wiggles), sweeps, positions: [...positions], simulated, note: '' },
        }),
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: measurementsQuery(id).queryKey }),
  });
  const some = Object.keys(wiggles).length + Object.keys(sweeps).length + positions.length > 0;
  return (
    <>
      <p className="mb-3 max-w-[75ch] text-soft">
        Propellers off. Move one stick at a time, fully, and read what the board shows. Nothing is changed until you
        apply it; correct in one place only.
      </p>
      <div className="mb-4 flex flex-wrap gap-2">
        <GuidedRoutine
          onDone={(routine) => {
            if (routine.positions.length > 0) setPositions(routine.positions);
            else {
              setWiggles(Object.fromEntries(routine.wiggles.map((w) => [w.moved, w])));
              setSweeps(routine.sweeps);
            }
            setSimulated(true);
            measured();
          }}
        />
        <Button onClick={() => simulate.mutate()} disabled={simulate.isPending}>
          Read all from the simulated board
        </Button>
        <Button
          disabled={!some}
          onClick={() => {
            setWiggles({});
            setSweeps({});
            setPositions([]);
            setSimulated(false);
          }}
        >
          Clear
        </Button>
        <Button look="solid" disabled={!some || keep.isPending} onClick={() => keep.mutate()}>
          Record this measurement
        </Button>
      </div>
      <div className="mb-4">
        <FromRecording
          id={id}
          onMeasured={(seen, ofSimulated) => {
            setWiggles(Object.fromEntries(seen.wiggles.map((w) => [w.moved, w])));
            setSweeps(seen.sweeps);
            setPositions(seen.positions);
            setSimulated(ofSimulated);
            measured();
          }}
        />
      </div>
      {stale && some && (
        <div className="mb-3">
          <Notice title="Measure again before you correct anything else">
            <p>Something between the sticks and the board&apos;s bars was changed after this was measured.</p>
          </Notice>
        </div>
      )}
      <WiggleTable
        id={id}
        axes={AXES}
        seen={wiggles}
        changes={changes}
        stale={stale}
        onSee={(axis, seen) => {
          setWiggles({ ...wiggles, [axis]: seen });
          setSimulated(false);
          measured();
        }}
      />
      <SweepTable
        id={id}
        axes={AXES}
        sweeps={sweeps}
        changes={changes}
        stale={stale}
        onSweep={(changed) => {
          setSweeps({ ...sweeps, ...changed });
          setSimulated(false);
          measured();
        }}
      />
      <SwitchTable
        id={id}
        setup={setup}
        rows={view.measuredRows}
        seen={positions}
        changes={changes}
        stale={stale}
        onSee={(changed) => {
          setPositions(changed);
          setSimulated(false);
          measured();
        }}
      />
      <section aria-labelledby="measured" className="mb-6">
        <h2 id="measured" className="text-lg font-bold">
          {kept.length === 0 ? 'No measurement is recorded' : 'Measurements that were recorded'}
        </h2>
        <ul>
          {kept.map((made) => (
            <li key={made.id} className="flex flex-wrap gap-x-4 border-b border-hair py-1.5">
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
            </li>
          ))}
        </ul>
      </section>
    </>
  );
}
