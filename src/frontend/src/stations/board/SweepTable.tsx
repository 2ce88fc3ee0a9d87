import { RANGES } from '../../api/generated/ranges';
import { useMutation } from '@tanstack/react-query';
import clsx from 'clsx';
import { useState } from 'react';
import { answer, api, reasonOf } from '../../api/client';
import type { ChannelTravel, EndpointView, StickAxis, Sweep, TravelEffect } from '../../api/types';
import { useBench, useBenchState } from '../../bench/BenchProvider';
import type { Changes } from '../../edits/useChanges';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { NumberField } from '../../ui/NumberField';
import { figure } from '../../ui/figures';
import { TravelDiagram } from './TravelDiagram';
import { wholeSweeps, type PartSweep } from './useMeasured';

interface Props {
  id: string;
  axes: readonly StickAxis[];
  sweeps: Partial<Record<StickAxis, PartSweep>>;
  changes: Changes;
  /** True when the way to the board was changed since; nothing can be corrected then. */
  stale: boolean;
  onSweep: (changed: Partial<Record<StickAxis, PartSweep>>) => void;
}

/** Lowest, centre and highest of each bar, typed or watched, and the settings that put them at 1000, 1500 and 2000 µs. */
export function SweepTable({ id, axes, sweeps, changes, stale, onSweep }: Props) {
  const whole = wholeSweeps(sweeps);
  const solve = useMutation({
    mutationFn: () =>
      answer(api.POST('/api/setups/{id}/sweeps', { params: { path: { id } }, body: { sweeps: whole } })),
  });
  const put = (axis: StickAxis, change: PartSweep) => {
    solve.reset();
    onSweep({ [axis]: { ...sweeps[axis], ...change } });
  };
  return (
    <section aria-labelledby="sweep" className="mb-6">
      <h2 id="sweep" className="text-lg font-bold">
        How far each bar goes
      </h2>
      <Watch
        axes={axes}
        onTake={(taken) => {
          solve.reset();
          onSweep(taken);
        }}
      />
      <ul>
        {axes.map((axis) => (
          <li
            key={axis}
            aria-label={axis}
            className="flex flex-wrap items-end gap-x-4 gap-y-1 border-b border-hair py-2"
          >
            <b className="w-24 self-center">{axis}</b>
            {(['low', 'centre', 'high'] as const).map((end) => (
              <NumberField
                key={end}
                label={{ low: 'Lowest', centre: axis === 'throttle' ? 'Halfway' : 'Let go', high: 'Highest' }[end]}
                unit="µs"
                value={sweeps[axis]?.[end] ?? NaN}
                {...RANGES['TypedReading.values']}
                onCommit={(v) => put(axis, { [end]: v })}
              />
            ))}
            <NumberField
              label="Trembles by"
              unit="µs"
              value={sweeps[axis]?.jitter ?? 0}
              min={0}
              max={200}
              onCommit={(v) => put(axis, { jitter: v })}
            />
          </li>
        ))}
      </ul>
      <Button
        look="solid"
        className="mt-2"
        disabled={Object.keys(whole).length === 0 || solve.isPending}
        onClick={() => solve.mutate()}
      >
        Work it out
      </Button>
      {solve.error && (
        <div className="mt-2">
          <Notice title="This cannot have been measured">
            <p>{reasonOf(solve.error)}</p>
          </Notice>
        </div>
      )}
      {solve.data && <Answer view={solve.data} changes={changes} stale={stale} />}
    </section>
  );
}

/** Watches the bars of the simulated board while the sticks of the dock are swept. */
function Watch({
  axes,
  onTake,
}: {
  axes: readonly StickAxis[];
  onTake: (taken: Partial<Record<StickAxis, Sweep>>) => void;
}) {
  const { link } = useBench();
  const [on, setOn] = useState(false);
  const bars = useBenchState((s) => (on ? (s.message?.snapshot.bars ?? {}) : {}));
  if (!on)
    return (
      <Button
        className="my-1"
        onClick={() => {
          link.watchBars();
          setOn(true);
        }}
      >
        Watch while I move the sticks
      </Button>
    );
  return (
    <div className="my-2 rounded border-2 border-sea p-2" aria-label="Watching the bars" role="group">
      <p>Move every stick to all its ends, then let go.</p>
      <ul className="flex flex-wrap gap-x-6 font-mono">
        {axes.map((axis) => (
          <li key={axis}>
            <span className="font-sans">{axis}</span>{' '}
            <b>
              {figure(bars[axis]?.low ?? 1500, 0)} · {figure(bars[axis]?.now ?? 1500, 0)} ·{' '}
              {figure(bars[axis]?.high ?? 1500, 0)}
            </b>
          </li>
        ))}
      </ul>
      <div className="mt-1 flex gap-2">
        <Button
          look="solid"
          onClick={() => {
            setOn(false);
            onTake(
              Object.fromEntries(
                axes.flatMap((axis) => {
                  const bar = bars[axis];
                  return bar
                    ? [
                        [
                          axis,
                          {
                            low: Math.round(bar.low),
                            high: Math.round(bar.high),
                            centre: Math.round(bar.centre),
                          },
                        ],
                      ]
                    : [];
                }),
              ),
            );
          }}
        >
          Take these
        </Button>
        <Button onClick={() => setOn(false)}>Stop watching</Button>
      </div>
    </div>
  );
}

function Answer({ view, changes, stale }: { view: EndpointView; changes: Changes; stale: boolean }) {
  const { answer: found } = view;
  const places = [
    {
      place: 'board',
      name: 'At the board',
      edit: view.atBoard,
      figures: (c: ChannelTravel) => `${c.spanName}: ${figure(c.span.low, 0)} to ${figure(c.span.high, 0)} µs`,
    },
    { place: 'transmitter', name: 'At the transmitter', edit: view.atTransmitter, figures: ends },
    { place: 'both', name: 'Ends there, the rest at the board', edit: view.atBoth, figures: ends },
  ] as const;
  return (
    <div className="mt-3 max-w-4xl">
      <p className="text-sm text-soft">
        The marks are the 1000, 1500 and 2000 µs that the board wants. Solid is reached, red lies beyond and is lost,
        dashed is never reached; the thick line is the centre.
      </p>
      <ul>
        {found.channels.map((c) => {
          const after = found.advised === 'board' ? c.afterSpan : (c.afterEnds ?? c.afterSpan);
          return (
            <li key={c.axis} className="grid gap-x-6 border-b border-hair py-2 sm:grid-cols-[6rem_1fr_1fr]">
              <b>{c.axis}</b>
              <div>
                <TravelDiagram name={`${c.axis} now`} effect={c.before} />
                <p className="text-sm">now: {effect(c.axis, c.before)}</p>
              </div>
              <div>
                <TravelDiagram name={`${c.axis} after`} effect={after} />
                <p className="text-sm">after: {effect(c.axis, after)}</p>
              </div>
            </li>
          );
        })}
      </ul>
      <p className="mt-1">
        {found.reason}{' '}
        {found.centre !== null && `The centres agree: set the board's centre to ${figure(found.centre, 0)} µs. `}
        {found.offCentre.length > 0 && `Change the centre of ${found.offCentre.join(', ')} at the transmitter. `}
        Deadband {figure(found.deadband, 0)} µs; throttle low below {figure(found.throttleLow, 0)} µs; full travel above{' '}
        {figure(found.fullTravel, 0)} µs.{' '}
        {found.throttleLost > 0 ? (
          `The present throttle-low limit takes ${figure(found.throttleLost, 0)} µs at the bottom of the throttle.`
        ) : (
          <b className="text-rust">The throttle never comes below the present limit: the board will not arm.</b>
        )}
      </p>
      <ul className="mt-2">
        {places.map(({ place, name, edit, figures }) => (
          <li
            key={place}
            aria-label={name}
            className={clsx(
              'mb-2 rounded border p-2',
              place === found.advised ? 'border-sea bg-sea-wash/60' : 'border-line',
            )}
          >
            <p className="flex flex-wrap items-center gap-x-4 gap-y-1">
              <b>{name}</b>
              {place === found.advised && <span className="text-sm font-semibold text-sea">advised</span>}
              <Button
                look={place === found.advised ? 'solid' : 'outline'}
                disabled={stale || edit.operations.length === 0}
                onClick={() => void changes.edit(edit)}
              >
                {edit.title}
              </Button>
            </p>
            <p className="text-sm">{found.channels.map(figures).join(' · ')}</p>
          </li>
        ))}
      </ul>
    </div>
  );
}

function ends({ axis, channel, ends: fit }: ChannelTravel): string {
  const name = `${axis}, channel ${channel}:`;
  if (!fit) return `${name} no channel of its own`;
  const percent = [fit.low, fit.centre, fit.high].map((p) => figure(p, 2)).join(' / ');
  return `${name} ${percent} %${fit.withinReach ? '' : ', beyond reach'}, ${figure(fit.residual, 2)} µs left`;
}

/** What the travel does in the air. */
function effect(axis: StickAxis, done: TravelEffect): string {
  const said =
    axis === 'throttle'
      ? [`commands ${figure(done.lowShare, 0)} to ${figure(done.highShare, 0)} % throttle`]
      : [
          `${figure(done.lowShare, 0)} and ${figure(done.highShare, 0)} % of the rate`,
          done.rateLost >= 1 && `${figure(done.rateLost, 0)} °/s lost`,
          Math.abs(done.drift) >= 1 && `drifts at ${figure(done.drift, 0)} °/s`,
        ];
  return [
    ...said,
    done.short >= 1 && `${figure(done.short, 0)} µs never reached`,
    done.clipped >= 1 && `${figure(done.clipped, 0)} µs beyond the ends`,
  ]
    .filter(Boolean)
    .join(', ');
}
