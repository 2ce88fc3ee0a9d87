import 'uplot/dist/uPlot.min.css';
import { useEffect, useEffectEvent, useRef } from 'react';
import uPlot from 'uplot';
import type { ReplayedFlight } from '../../../api/types';
import { figure } from '../../../ui/figures';
import { useColours, type Colours } from '../../../ui/useColours';
import type { Panel } from './panels';
import { flightTime } from './times';

interface Props {
  panel: Panel;
  seconds: readonly number[];
  /** What is drawn, in seconds. */
  stretch: { from: number; to: number };
  replay: ReplayedFlight;
  /** True for the lowest one, which has the times. */
  last: boolean;
  /** Room for figures at the right, whether it has some or not. */
  right: boolean;
  onStretch: (from: number, to: number) => void;
  /** Called with the place of the point under the cursor; null when there is none. */
  onPoint: (place: number | null) => void;
}

const [HEIGHT, TIMES, FIGURES] = [104, 26, 62];
const FONT = '13px "Atkinson Hyperlegible Mono Variable", monospace';

/** Cursors of all panels of a page go together. */
const SYNC = uPlot.sync('flight');

/** One of the drawings of a flight. */
export function PanelChart({ panel, seconds, stretch, replay, last, right, onStretch, onPoint }: Props) {
  const place = useRef<HTMLDivElement>(null);
  const made = useRef<uPlot>(null);
  const colours = useColours();
  const look = useEffectEvent(onStretch);
  const point = useEffectEvent(onPoint);
  const now = useEffectEvent(() => ({ panel, stretch, replay }));
  const height = HEIGHT + (last ? TIMES : 0);
  const kind = panel.drawn.map((d) => `${d.name} ${d.unit}`).join();
  useEffect(() => {
    const div = place.current!;
    const chart = new uPlot(
      {
        width: div.clientWidth,
        height,
        padding: [6, right && now().panel.drawn.length < 2 ? FIGURES + 6 : 6, last ? 0 : 6, 0],
        ...options(now, colours, last),
      },
      undefined,
      div,
    );
    chart.hooks.setSelect = [
      () => {
        const { left, width } = chart.select;
        if (width < 8) return;
        look(chart.posToVal(left, 'x'), chart.posToVal(left + width, 'x'));
        chart.setSelect({ left: 0, top: 0, width: 0, height: 0 }, false);
      },
    ];
    chart.hooks.setCursor = [() => point(chart.cursor.idx ?? null)];
    const fits = new ResizeObserver(() => chart.setSize({ width: div.clientWidth, height }));
    fits.observe(div);
    made.current = chart;
    return () => {
      fits.disconnect();
      chart.destroy();
    };
  }, [kind, colours, last, right, height]);
  // Other lines come into the drawing that is there, so that a hand that drags over it meanwhile keeps its drag.
  useEffect(() => {
    made.current!.setData([[...seconds], ...panel.drawn.map((d) => d.values)]);
  }, [panel, seconds, stretch, replay, kind, colours, last, right, height]);
  const [first] = panel.drawn;
  const known = first!.values.filter((v) => v !== null);
  return (
    <div
      ref={place}
      role="img"
      className="mb-1"
      aria-label={`${panel.name}: ${first!.name} from ${figure(Math.min(...known), 1)} to ${figure(Math.max(...known), 1)} ${first!.unit}`}
    />
  );
}

/** How it is drawn; `now` is what is drawn, which may become another while the drawing stays. */
function options(
  now: () => Pick<Props, 'panel' | 'stretch' | 'replay'>,
  colours: Colours,
  last: boolean,
): Omit<uPlot.Options, 'width' | 'height'> {
  const { drawn } = now().panel;
  const axis = { stroke: colours.soft, font: FONT, grid: { stroke: colours.hair, width: 1 }, ticks: { show: false } };
  return {
    cursor: {
      sync: { key: SYNC.key, setSeries: false },
      points: { size: 7 },
      drag: { x: true, y: false, setScale: false },
    },
    legend: { show: false },
    scales: {
      x: { time: false, range: () => [now().stretch.from, now().stretch.to] },
      ...Object.fromEntries(drawn.map((d) => [d.unit, d.right ? {} : { range: () => now().panel.range }])),
    },
    axes: [
      { ...axis, show: last, size: TIMES, values: (_, at) => at.map((s) => flightTime(s * 1000)) },
      // eslint-disable-next-line @typescript-eslint/no-unsafe-enum-assignment -- the library's enum is not there when the program runs
      ...drawn.map((d) => ({
        ...axis,
        grid: { ...axis.grid, show: !d.right },
        stroke: colours[d.colour],
        scale: d.unit,
        side: d.right ? 1 : 3,
        size: FIGURES,
        values: (_: uPlot, at: number[]) => at.map((v) => `${figure(v, 2)} ${d.unit}`),
      })),
    ],
    series: [
      {},
      ...drawn.map((d) => ({
        scale: d.unit,
        stroke: colours[d.colour],
        width: d.right ? 1 : 1.5,
        points: { show: false },
      })),
    ],
    hooks: {
      drawClear: [(chart) => drawHeld(chart, now().replay, colours)],
      draw: [(chart) => drawLevel(chart, now().panel, colours)],
    },
  };
}

/** When the alarm held, and the critical moment, behind the lines. */
function drawHeld(chart: uPlot, replay: ReplayedFlight, colours: Colours): void {
  const { ctx, bbox } = chart;
  ctx.save();
  ctx.beginPath();
  ctx.rect(bbox.left, bbox.top, bbox.width, bbox.height);
  ctx.clip();
  const x = (ms: number) => chart.valToPos(ms / 1000, 'x', true);
  for (const held of replay.judged) {
    ctx.fillStyle = held.false ? colours['rust-wash'] : colours['moss-wash'];
    ctx.fillRect(x(held.from), bbox.top, Math.max(x(held.to) - x(held.from), 2), bbox.height);
    ctx.fillStyle = held.false ? colours.rust : colours.moss;
    ctx.fillRect(x(held.from), bbox.top, Math.max(x(held.to) - x(held.from), 2), 3 * devicePixelRatio);
  }
  if (replay.critical !== null) {
    ctx.fillStyle = colours.rust;
    ctx.fillRect(x(replay.critical), bbox.top, 2 * devicePixelRatio, bbox.height);
  }
  ctx.restore();
}

function drawLevel(chart: uPlot, panel: Panel, colours: Colours): void {
  if (panel.level === null) return;
  const { ctx, bbox } = chart;
  const y = chart.valToPos(panel.level, panel.drawn[0]!.unit, true);
  ctx.save();
  ctx.strokeStyle = colours.ochre;
  ctx.lineWidth = 1.5 * devicePixelRatio;
  ctx.setLineDash([6 * devicePixelRatio, 4 * devicePixelRatio]);
  ctx.beginPath();
  ctx.moveTo(bbox.left, y);
  ctx.lineTo(bbox.left + bbox.width, y);
  ctx.stroke();
  ctx.restore();
}
