import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { frameQuery } from '../../api/queries';
import type { FrameDrawing } from '../../api/types';
import { Button } from '../../ui/Button';

/** The height of the line when it is high and when it is low, in the units of the drawing. */
const [HIGH, LOW] = [34, 74];
/** How wide a microsecond is drawn, so that the bits of the usual formats can be told apart. */
const PER_BIT = 7;

/** One frame of a recording: its level over time, with bits and bytes named. */
export function FrameView({ capture, frames }: { capture: string; frames: number }) {
  const [number, setNumber] = useState(1);
  const { data, error } = useQuery({ ...frameQuery(capture, number), placeholderData: keepPreviousData });
  return (
    <div className="mt-4">
      <div className="flex flex-wrap items-center gap-2">
        <h4 className="font-bold">
          Frame {number} of {frames}
          {data && <span className="font-normal text-soft"> · begins at {data.start.toFixed(3)} ms</span>}
        </h4>
        <Button aria-label="The frame before" disabled={number <= 1} onClick={() => setNumber(number - 1)}>
          <ChevronLeft size={16} aria-hidden />
        </Button>
        <Button aria-label="The next frame" disabled={number >= frames} onClick={() => setNumber(number + 1)}>
          <ChevronRight size={16} aria-hidden />
        </Button>
      </div>
      {error && <p className="text-rust">{error.message}</p>}
      {data && <Line drawing={data} />}
    </div>
  );
}

function Line({ drawing }: { drawing: FrameDrawing }) {
  const scale = drawing.bitTime > 0 ? PER_BIT / drawing.bitTime : 1000 / drawing.length;
  const width = drawing.length * scale;
  const levels = [drawing.startsHigh ? HIGH : LOW];
  const points = [`0,${levels[0]}`];
  for (const change of drawing.changes) {
    const before = levels[levels.length - 1]!;
    const after = before === HIGH ? LOW : HIGH;
    points.push(`${change * scale},${before}`, `${change * scale},${after}`);
    levels.push(after);
  }
  points.push(`${width},${levels[levels.length - 1]}`);
  return (
    // It scrolls, so it can be reached with the keyboard.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <div className="mt-2 overflow-x-auto" role="region" aria-label="The line" tabIndex={0}>
      <svg width={width} height="104" viewBox={`0 0 ${width} 104`} role="img" aria-label={words(drawing)}>
        {drawing.bytes.map((byte, i) => (
          <g key={byte.at}>
            <rect
              x={byte.at * scale}
              width={byte.length * scale}
              y="22"
              height="60"
              className={i % 2 === 0 ? 'fill-sea-wash' : 'fill-hair'}
            />
            <text
              x={(byte.at + byte.length / 2) * scale}
              y="14"
              textAnchor="middle"
              className="fill-ink text-[12px] font-bold"
            >
              {hex(byte.value)}
            </text>
            <text x={(byte.at + byte.length / 2) * scale} y="97" textAnchor="middle" className="fill-soft text-[12px]">
              {byte.name}
            </text>
            {Array.from({ length: Math.round(byte.length / drawing.bitTime) - 1 }, (_, bit) => (
              <line
                key={bit}
                x1={(byte.at + (bit + 1) * drawing.bitTime) * scale}
                x2={(byte.at + (bit + 1) * drawing.bitTime) * scale}
                y1="22"
                y2="82"
                className="stroke-line"
                strokeWidth="0.5"
              />
            ))}
          </g>
        ))}
        <polyline points={points.join(' ')} fill="none" className="stroke-ink" strokeWidth="1.6" />
      </svg>
    </div>
  );
}

function hex(value: number): string {
  return value.toString(16).toUpperCase().padStart(2, '0');
}

function words(drawing: FrameDrawing): string {
  return drawing.bytes.length > 0
    ? drawing.bytes.map((b) => `${b.name} ${hex(b.value)}`).join(', ')
    : `${drawing.changes.length} changes of level in ${drawing.length.toFixed(0)} microseconds`;
}
