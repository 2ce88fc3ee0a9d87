import { RANGES } from '../../../api/generated/ranges';
import { Plus, Trash2 } from 'lucide-react';
import type { CurvePoint } from '../../../api/types';
import { Button } from '../../../ui/Button';
import { NumberField } from '../../../ui/NumberField';
import { CurveDrawing } from './CurveDrawing';

interface Props {
  points: readonly CurvePoint[];
  smooth: boolean;
  samples: readonly number[];
  now: number | undefined;
  most: number;
  onPoints: (points: CurvePoint[]) => void;
  onSmooth: (smooth: boolean) => void;
}

const FEWEST = 3;

const AXES = [
  { axis: 'x', does: 'comes in', unit: '% →' },
  { axis: 'y', does: 'goes out', unit: '%' },
] as const;

/** The points of a curve as a table beside its drawing. */
export function CurveEditor({ points, smooth, samples, now, most, onPoints, onSmooth }: Props) {
  // The points run from left to right, whatever is typed.
  const put = (changed: CurvePoint[]) => onPoints([...changed].sort((a, b) => a.x - b.x));
  const add = () => {
    const gaps = points.slice(1).map((p, i) => ({ at: (p.x + points[i]!.x) / 2, width: p.x - points[i]!.x, i }));
    const widest = gaps.reduce((a, b) => (b.width > a.width ? b : a));
    const height = (points[widest.i]!.y + points[widest.i + 1]!.y) / 2;
    put([...points, { x: Math.round(widest.at * 10) / 10, y: Math.round(height * 10) / 10 }]);
  };
  return (
    <div className="flex flex-wrap gap-4">
      <div>
        <CurveDrawing points={points} samples={samples} now={now} />
        <label className="flex items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="size-5 accent-sea"
            checked={smooth}
            onChange={(event) => onSmooth(event.target.checked)}
          />
          Rounded between the points
        </label>
      </div>
      <div>
        <ol className="columns-2 gap-x-6 p-1 max-md:columns-1">
          {points.map((point, i) => (
            <li key={i} className="mb-1 flex break-inside-avoid items-end gap-2">
              {AXES.map(({ axis, does, unit }) => (
                <NumberField
                  key={axis}
                  quiet
                  label={`Point ${i + 1}: ${does}`}
                  unit={unit}
                  value={point[axis]}
                  {...RANGES['model.channels.*.steps.*.curve.points.*.x']}
                  step={0.1}
                  onCommit={(value) => put(points.map((p, j) => (j === i ? { ...p, [axis]: value } : p)))}
                />
              ))}
              <Button
                look="bare"
                aria-label={`Remove point ${i + 1}`}
                disabled={points.length <= FEWEST}
                onClick={() => put(points.filter((_, j) => j !== i))}
              >
                <Trash2 size={15} aria-hidden />
              </Button>
            </li>
          ))}
        </ol>
        <Button disabled={points.length >= most} onClick={add}>
          <Plus size={15} aria-hidden /> Point
        </Button>{' '}
        <span className="text-sm text-soft">
          {points.length} of {most}
        </span>
      </div>
    </div>
  );
}
