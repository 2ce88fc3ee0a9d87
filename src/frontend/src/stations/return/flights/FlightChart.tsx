import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { answer, api } from '../../../api/client';
import type { FlightView, ReplayedFlight, ReplayView } from '../../../api/types';
import { figure } from '../../../ui/figures';
import { Button } from '../../../ui/Button';
import { PanelChart } from './PanelChart';
import { panels } from './panels';
import { flightTime } from './times';

interface Props {
  flight: FlightView;
  replay: ReplayedFlight;
  alarm: ReplayView['alarms'][number] | null;
  /** What is looked at, in seconds; null for the whole flight. */
  looked: Stretch | null;
  onLook: (stretch: Stretch | null) => void;
}

export interface Stretch {
  from: number;
  to: number;
}

/** So many stretches are drawn: about as many as a screen has points. */
const BINS = 900;

/** What was recorded over time, below each other what belongs to battery, load and link, with the alarm in it. */
export function FlightChart({ flight, replay, alarm, looked, onLook }: Props) {
  const [point, setPoint] = useState<number | null>(null);
  const stretch = useMemo(() => looked ?? { from: 0, to: flight.length / 1000 }, [looked, flight.length]);
  const drawing = useQuery({
    queryKey: ['flight', flight.id, 'drawing', stretch.from, stretch.to],
    queryFn: () =>
      answer(
        api.GET('/api/flights/{flight}/drawing', {
          params: { path: { flight: flight.id }, query: { ...stretch, bins: BINS } },
        }),
      ),
    // Another flight's lines never stand under this one's name, nor are they changed under a hand that drags over them.
    placeholderData: (before, query) => (query?.queryKey[1] === flight.id ? before : undefined),
    staleTime: Infinity,
  }).data;
  // A drawing is made anew when one of these is another, and not while the cursor goes over it.
  const drawn = useMemo(() => (drawing ? panels(drawing, alarm) : []), [drawing, alarm]);
  if (!drawing) return <div className="h-80" />;
  const at = point === null ? undefined : drawing.seconds[point];
  return (
    <figure className="mb-5" aria-label={`Course of ${flight.name}`}>
      <p className="flex min-h-6 flex-wrap gap-x-5 pl-[62px] text-sm" aria-hidden>
        {drawn.flatMap((panel) =>
          panel.drawn.map((d) => (
            <span key={d.name} className={d.right ? 'text-soft' : 'text-sea'}>
              {d.name}{' '}
              {point !== null && d.values[point] != null && (
                <b className="font-mono">
                  {figure(d.values[point], 2)} {d.unit}
                </b>
              )}
            </span>
          )),
        )}
        {at !== undefined && <b className="font-mono">at {flightTime(at * 1000, 1)}</b>}
      </p>
      {drawn.map((panel, i) => (
        <PanelChart
          key={panel.name}
          panel={panel}
          seconds={drawing.seconds}
          stretch={stretch}
          replay={replay}
          last={i === drawn.length - 1}
          right={drawn.some((p) => p.drawn.length > 1)}
          onStretch={(from, to) => onLook({ from, to })}
          onPoint={setPoint}
        />
      ))}
      <figcaption className="flex flex-wrap items-center gap-x-5 gap-y-1 text-sm text-soft">
        <Mark className="border-rust bg-rust-wash" name="the alarm held, falsely" />
        <Mark className="border-moss bg-moss-wash" name="the alarm held" />
        {replay.critical != null && (
          <span>
            <span aria-hidden className="mr-1.5 inline-block h-3.5 w-0 border-l-2 border-rust align-middle" />
            critical at {flightTime(replay.critical, 1)}
          </span>
        )}
        {looked ? (
          <Button onClick={() => onLook(null)}>The whole flight</Button>
        ) : (
          <span>Drag over a stretch to look closer.</span>
        )}
      </figcaption>
    </figure>
  );
}

function Mark({ className, name }: { className: string; name: string }) {
  return (
    <span className="flex items-center gap-1.5">
      <span aria-hidden className={`size-3.5 border ${className}`} />
      {name}
    </span>
  );
}
