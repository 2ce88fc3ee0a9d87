import clsx from 'clsx';
import { CircleCheck, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { auxName } from '../../api/aux';
import type { CaptureView } from '../../api/types';
import { EditButton } from '../../edits/EditButton';
import type { Changes } from '../../edits/useChanges';
import { SelectField } from '../../ui/SelectField';
import { FrameView } from './FrameView';
import { LossLegend, LossStrip } from './LossStrip';
import { RecordedLoss } from './RecordedLoss';

interface Props {
  /** The id of the craft. */
  id: string;
  /** The name of the file. */
  name: string;
  capture: CaptureView;
  changes: Changes;
  /** Called with the id of another wire of the recording. */
  onLine: (line: string) => void;
}

/** What a recording was recognised as, what each channel did in it, and the line itself. */
export function CaptureResult({ id, name, capture, changes, onLine }: Props) {
  const [fixed, setFixed] = useState(false);
  const { fix } = capture;
  const Icon = capture.fits ? CircleCheck : TriangleAlert;
  return (
    <article aria-label="What the recording says" className="max-w-5xl rounded border border-line bg-sheet p-4">
      <h3 className="flex items-center gap-2 text-[1.3rem] font-bold">
        <Icon size={22} aria-hidden className={capture.fits ? 'text-moss' : 'text-rust'} />
        {capture.title}
      </h3>
      <p className="text-sm text-soft">
        {name}
        {capture.seconds > 0 && ` · ${figure(capture.seconds, 2)} s`}
        {capture.format !== null && ` · ${capture.frames} good frames`}
        {capture.damagedFrames > 0 && `, ${capture.damagedFrames} damaged`}
        {capture.interval !== null && ` · one every ${figure(capture.interval, 2)} ms`}
      </p>
      {capture.lines.length > 1 && (
        <div className="mt-2 w-fit max-w-full">
          <SelectField
            label={`Wire (${capture.lines.length} in the file)`}
            value={capture.id}
            options={capture.lines.map((line) => ({ value: line.id, label: `${line.name}: ${line.title}` }))}
            onChange={onLine}
          />
        </div>
      )}
      <ul className="my-2 list-disc pl-5">
        {capture.fits && <li>The setup says the same.</li>}
        {capture.notes.map((note) => (
          <li key={note}>{note}</li>
        ))}
        {capture.notLookedAt.length > 0 && (
          <li>Wires that move less were not looked at: {capture.notLookedAt.join(', ')}.</li>
        )}
      </ul>
      {fix && !fixed && (
        <EditButton
          edit={fix}
          first
          label={`Take it over: ${fix.title}`}
          onTake={() => {
            setFixed(true);
            void changes.edit(fix);
          }}
        />
      )}
      {capture.interval !== null && <RecordedLoss id={id} capture={capture.id} changes={changes} />}
      {capture.channels.length > 0 && <ChannelTable capture={capture} />}
      {capture.hasLevels && <FrameView capture={capture.id} frames={capture.frames} />}
    </article>
  );
}

function ChannelTable({ capture }: { capture: CaptureView }) {
  const { channels, losses, seconds } = capture;
  return (
    <div className="mt-3 overflow-x-auto">
      <table className="w-full border-collapse text-sm">
        <thead>
          <tr className="border-b-2 border-ink text-left text-soft">
            <th className="py-1 pr-3 font-semibold">Channel</th>
            <th className="pr-3 font-semibold">The model sends</th>
            <th className="pr-3 text-right font-semibold">lowest µs</th>
            <th className="pr-3 text-right font-semibold">rests at µs</th>
            <th className="pr-3 text-right font-semibold">highest µs</th>
            <th className="w-2/5 font-semibold">over time</th>
          </tr>
        </thead>
        <tbody>
          {losses.length > 0 && (
            <tr className="border-b border-hair align-top">
              <th scope="row" colSpan={5} className="py-1 pr-3 text-left">
                Lost
                <LossLegend losses={losses} />
              </th>
              <td className="pt-1 align-middle">
                <LossStrip losses={losses} seconds={seconds} />
              </td>
            </tr>
          )}
          {channels.map((channel) => (
            <tr key={channel.number} className="border-b border-hair">
              <th scope="row" className="py-1 pr-3 text-left">
                {channel.number}
                {auxName(channel.number) && <span className="font-normal text-soft"> · {auxName(channel.number)}</span>}
              </th>
              <td className={clsx('pr-3', channel.label === '' && 'text-soft')}>{channel.label || 'nothing'}</td>
              <td className="pr-3 text-right font-mono">{figure(channel.lowest, 0)}</td>
              <td className="pr-3 text-right font-mono font-bold">{figure(channel.rest, 0)}</td>
              <td className="pr-3 text-right font-mono">{figure(channel.highest, 0)}</td>
              <td>
                <Course values={channel.course} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The ends of the drawing, in microseconds: wider than any usual travel. */
const [LOW, HIGH] = [850, 2150];

function Course({ values }: { values: readonly number[] }) {
  const at = (value: number) => 22 - (20 * (Math.min(HIGH, Math.max(LOW, value)) - LOW)) / (HIGH - LOW);
  const points = values.map((v, i) => `${(400 * i) / Math.max(1, values.length - 1)},${at(v).toFixed(1)}`).join(' ');
  return (
    <svg viewBox="0 0 400 24" preserveAspectRatio="none" className="h-6 w-full min-w-32" aria-hidden>
      <line x1="0" x2="400" y1={at(1500)} y2={at(1500)} className="stroke-hair" vectorEffect="non-scaling-stroke" />
      <polyline
        points={points}
        fill="none"
        className="stroke-sea"
        strokeWidth="1.6"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

function figure(value: number, digits: number): string {
  return value.toLocaleString('en-GB', { maximumFractionDigits: digits, useGrouping: false });
}
