import { useState } from 'react';
import { makeEdit } from '../../../api/edits';
import { RANGES } from '../../../api/generated/ranges';
import type { FlightAtLoss, LossView, Setup } from '../../../api/types';
import { LookAtDrafts } from '../../../edits/LookAtDrafts';
import type { Changes } from '../../../edits/useChanges';
import { together } from '../../../ui/figures';
import { Notice } from '../../../ui/Notice';
import { NumberField } from '../../../ui/NumberField';
import { SelectField } from '../../../ui/SelectField';
import { LossTrial } from './LossTrial';
import { MarkTable } from './MarkTable';
import { OnPurpose } from './OnPurpose';
import { PlanView } from './PlanView';
import { PlayOnBench } from './PlayOnBench';
import { ReturnBar } from './ReturnBar';
import { SideView } from './SideView';
import { FlightSlider, type PutFlight } from './FlightSlider';
import { useLoss } from './useLoss';

/** Kilometres an hour in a metre a second. */
const KMH = 3.6;

interface Props {
  id: string;
  setup: Setup;
  changes: Changes;
}

/** What happens from the last packet to a craft at rest, where it comes down, and what happens when the signal comes back. */
export function LossPart({ id, setup, changes }: Props) {
  // What a slider shows while it is dragged; what is written down otherwise.
  const [dragged, drag] = useState<FlightAtLoss | null>(null);
  const [throttle, setThrottle] = useState(0);
  const located = setup.board.equipment?.positionReceiver ?? false;
  const [fix, setFix] = useState(located);
  const { data, error } = useLoss(id, setup, dragged ?? setup.craft.atLoss ?? null, throttle, fix);
  if (error) return <Notice title={error.message} />;
  if (!data) return <p className="text-soft">The loss is being played.</p>;
  const written = setup.craft.atLoss;
  const flight = dragged ?? written ?? data.flight;
  const put: PutFlight = (title, member, value) =>
    void changes
      .edit(
        makeEdit(title, setup, [
          written
            ? { path: ['craft', 'atLoss', member], value }
            : { path: ['craft', 'atLoss'], value: { ...flight, [member]: value } },
        ]),
      )
      // What was dragged since then is not written down yet.
      .finally(() => drag((now) => (now === dragged ? null : now)));
  const slider = { flight, moved: dragged !== null, drag, put };
  return (
    <div className="grid gap-x-8 gap-y-5 xl:grid-cols-[minmax(0,1fr)_20rem]">
      <div className="flex min-w-0 flex-col gap-5">
        <Outcome view={data} />
        {data.timeline && (
          <>
            <SideView timeline={data.timeline} />
            <MarkTable marks={data.timeline.marks} />
            <ReturnBar returns={data.timeline.returns} period={setup.wire.framePeriod} />
            <OnPurpose all={data.timeline.onPurpose} />
            <PlayOnBench
              hands={data.timeline.hands}
              givesUp={data.timeline.marks.find((m) => m.kind === 'receiver-gives-up')?.latest ?? 0}
              fix={data.timeline.fix}
            />
            <a
              className="target inline-flex items-center self-start font-semibold text-ink underline"
              href={`/api/setups/${id}/loss-sheet?throttle=${throttle}&fix=${fix}`}
              download
            >
              Loss sheet, to take along
            </a>
          </>
        )}
        <LossTrial id={id} />
      </div>
      <section aria-labelledby="at-loss" className="flex min-w-0 flex-col gap-3">
        <h2 id="at-loss" className="text-lg font-bold">
          The flight at the last packet
        </h2>
        <FlightSlider {...slider} member="speed" label="Speed" unit="km/h" factor={KMH} most={150} step={1} />
        <FlightSlider {...slider} member="height" label="Height" unit="m" most={150} step={1} />
        <FlightSlider {...slider} member="wind" label="Wind, from anywhere" unit="m/s" most={20} step={1} />
        <LookAtDrafts changes={changes}>
          <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
            <SelectField
              label="Throttle stick"
              value={String(throttle)}
              options={[
                { value: '0', label: 'at half' },
                { value: '100', label: 'up' },
                { value: '-100', label: 'down' },
              ]}
              onChange={(v) => setThrottle(Number(v))}
            />
            {located && (
              <SelectField
                label="Position fix"
                value={fix ? 'fix' : 'none'}
                options={[
                  { value: 'none', label: 'none' },
                  { value: 'fix', label: 'there is one' },
                ]}
                onChange={(v) => setFix(v === 'fix')}
              />
            )}
            <NumberField
              label="Climbs at"
              unit="m/s"
              value={flight.climb ?? 0}
              {...RANGES['craft.atLoss.climb']}
              step={1}
              onCommit={(v) => put(v < 0 ? `Dives at ${-v} m/s` : `Climbs at ${v} m/s`, 'climb', v)}
            />
            <NumberField
              label="Lands at"
              unit="m/s"
              value={flight.descent ?? 2}
              {...RANGES['craft.atLoss.descent']}
              step={0.5}
              onCommit={(v) => put(`A landing at ${v} m/s`, 'descent', v)}
            />
            <Known flight={flight} member="fallsAt" label="Terminal velocity" unit="m/s" put={put} />
            <Known flight={flight} member="mass" label="Weighs" unit="g" put={put} />
            <Known flight={flight} member="pilot" label="The pilot is away" unit="m" put={put} />
            <Known flight={flight} member="line" label="People or road are away" unit="m" put={put} />
            <Known flight={flight} member="sight" label="Seen no farther than" unit="m" put={put} />
          </div>
        </LookAtDrafts>
        <p className="text-sm text-soft">
          {!located && 'The board has no position receiver, so it never has a fix. '}Climbs at less than 0: it dives.
          Elsewhere 0: not known. Without the terminal velocity of its fall the air is left out, and the craft comes
          furthest.
        </p>
        {data.timeline && (
          <PlanView
            footprint={data.timeline.footprint}
            flight={flight}
            home={data.timeline.course.some((p) => p.leg === 'returning')}
          />
        )}
      </section>
    </div>
  );
}

function Outcome({ view: { timeline, headline } }: { view: LossView }) {
  if (timeline === null) return <p className="max-w-[75ch] font-bold">{headline}</p>;
  const { footprint } = timeline;
  return (
    <section aria-labelledby="outcome" className="max-w-[75ch]">
      <h2 id="outcome" className="text-xl leading-snug font-bold">
        {together(headline)}
      </h2>
      <p className={footprint.struck ? 'text-rust' : 'text-soft'}>{footprint.words.map(together).join(' ')}</p>
      <p className="text-sm text-soft">
        A simulated loss is not a bench test, and the law where you fly decides on distances.
      </p>
    </section>
  );
}

type Optional = 'fallsAt' | 'mass' | 'pilot' | 'line' | 'sight';

function Known({
  flight,
  member,
  label,
  unit,
  put,
}: {
  flight: FlightAtLoss;
  member: Optional;
  label: string;
  unit: string;
  put: PutFlight;
}) {
  return (
    <NumberField
      label={label}
      unit={unit}
      value={flight[member] ?? 0}
      min={0}
      max={RANGES[`craft.atLoss.${member}`].max}
      step={1}
      onCommit={(v) => put(v === 0 ? `${label}: not known` : `${label} ${v} ${unit}`, member, v === 0 ? undefined : v)}
    />
  );
}
