import clsx from 'clsx';
import { useState } from 'react';
import { auxName } from '../../../api/aux';
import type { ChainStep, Channel, Setup, SetupView } from '../../../api/types';
import { useBench, useBenchState } from '../../../bench/BenchProvider';
import { signed } from '../../../bench/Stick';
import type { Changes } from '../../../edits/useChanges';
import { TravelBar } from '../../../ui/TravelBar';
import { moveStep, orderedSteps } from './chainEdits';
import { InsertStep } from './InsertStep';
import { tenths } from './OutputEditor';
import { PieceButton } from './PieceButton';
import type { Piece } from './pieces';
import { TakeEditor } from './TakeEditor';

interface Props {
  id: string;
  channel: Channel;
  setup: Setup;
  view: SetupView;
  changes: Changes;
  /** The piece of it that is being edited. */
  open: Piece | null;
  onOpen: (piece: Piece | null) => void;
}

/** One channel: its chain from left to right with the value after every step, and what is sent. */
export function ChannelRow({ id, channel, setup, view, changes, open, onOpen }: Props) {
  const { followed } = useBench();
  const [values, sent, forced] = useBenchState((s) => [
    s.message?.snapshot.steps[id] ?? [],
    s.message?.snapshot.sent[channel.number - 1] ?? 1500,
    s.message?.snapshot.forced[id] ?? null,
  ]);
  const steps = orderedSteps(channel);
  const overrides = Object.entries(setup.model.overrides ?? {}).filter(([, o]) => o.channel === id);
  const { low = -100, centre = 0, high = 100, reverse = false } = channel.output ?? {};
  const follows = channel.take.kind === 'control' && channel.take.control === followed;
  return (
    <tr
      className={clsx(
        'border-b border-hair max-md:grid max-md:grid-cols-[auto_1fr_auto] max-md:items-center max-md:py-2',
        follows && 'bg-sea-wash/60',
      )}
    >
      <td className="pr-1 whitespace-nowrap">
        <b>{channel.number}</b>
        <span className="ml-1.5 text-[0.8rem] font-semibold text-soft">{auxName(channel.number)}</span>
      </td>
      <td className="max-w-44 min-w-30 text-[0.93rem] max-md:max-w-none">
        <PieceButton
          channel={id}
          piece="names"
          open={open}
          onOpen={onOpen}
          className="min-h-[24px] rounded-sm px-1 text-left leading-[1.05] font-bold underline decoration-line decoration-2 underline-offset-3 hover:decoration-ink"
        >
          {channel.label}
          {channel.short && <span className="ml-1.5 text-[0.75rem] font-normal text-soft">{channel.short}</span>}
        </PieceButton>
      </td>
      <td className="pr-1 max-md:order-4 max-md:col-span-3">
        <div className="flex flex-wrap items-center gap-x-0.5 gap-y-0.5">
          <Step value={values[0]}>
            <TakeEditor id={id} channel={channel} setup={setup} controls={view.controls} changes={changes} />
          </Step>
          {steps.map(([stepId, step], index) => (
            <span key={stepId} className="contents">
              <InsertStep setup={setup} channelId={id} index={index} changes={changes} />
              <Step value={values[index + 1]}>
                <StepChip
                  channelId={id}
                  stepId={stepId}
                  step={step}
                  index={index}
                  setup={setup}
                  view={view}
                  changes={changes}
                  open={open}
                  onOpen={onOpen}
                />
              </Step>
            </span>
          ))}
          <InsertStep setup={setup} channelId={id} index={steps.length} changes={changes} />
          <Step value={values[steps.length + 1]}>
            <PieceButton
              channel={id}
              piece="output"
              open={open}
              onOpen={onOpen}
              className="inline-flex min-h-[24px] items-center rounded-sm border border-edge bg-sheet px-1.5 text-[0.84rem] whitespace-nowrap hover:border-ink"
            >
              {reverse && <b className="mr-1">reversed</b>}
              ends {signed(tenths(low))} / {signed(tenths(high))} %
              {centre !== 0 && ` · centre ${signed(tenths(centre))} %`}
            </PieceButton>
          </Step>
          {overrides.map(([key, made]) => (
            <Step key={key} value={forced === key ? values[steps.length + 2] : undefined}>
              <span
                className={clsx(
                  'inline-flex min-h-[24px] items-center rounded-sm border-2 px-1.5 text-[0.84rem]',
                  forced === key ? 'border-ink bg-ink text-paper' : 'border-dashed border-line',
                  made.enabled === false && 'line-through',
                )}
              >
                {made.label}: {signed(made.value)} %{forced === key && <b className="ml-1.5">forced</b>}
              </span>
            </Step>
          ))}
        </div>
      </td>
      <td className="w-14 max-md:order-5 max-md:col-span-3 max-md:w-full">
        <TravelBar us={sent} />
      </td>
      <td className="w-20 pl-1 text-right max-md:order-3 font-mono font-bold whitespace-nowrap">
        {sent.toFixed(1)} <span className="text-xs font-normal text-soft">µs</span>
      </td>
    </tr>
  );
}

interface ChipProps {
  channelId: string;
  stepId: string;
  step: ChainStep;
  index: number;
  setup: Setup;
  view: SetupView;
  changes: Changes;
  open: Piece | null;
  onOpen: (piece: Piece | null) => void;
}

/** A step in words. It opens its editor, and can be dragged to another place of its chain. */
function StepChip({ channelId, stepId, step, index, setup, view, changes, open, onOpen }: ChipProps) {
  const [over, setOver] = useState(false);
  const chain = view.chains[channelId];
  const holds = useBenchState((s) => (step.when ? (s.message?.snapshot.conditions[step.when] ?? false) : true));
  const drop = (dragged: string) => {
    const edit = moveStep(setup, channelId, dragged, index);
    if (edit) void changes.edit(edit);
  };
  const type = `step/${channelId}`.toLowerCase();
  return (
    <PieceButton
      channel={channelId}
      piece={`step:${stepId}`}
      open={open}
      onOpen={onOpen}
      draggable
      className={clsx(
        'inline-flex min-h-[24px] max-w-full items-center rounded-sm border bg-sheet px-1.5 text-left text-[0.84rem] leading-tight hover:border-ink',
        step.off && 'line-through opacity-60',
        step.when && !holds ? 'border-dashed border-soft text-soft' : 'border-line',
        over && 'border-2 border-sea',
      )}
      onDragStart={(event) => event.dataTransfer.setData(type, stepId)}
      onDragOver={(event) => {
        if (!event.dataTransfer.types.includes(type)) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        setOver(false);
        drop(event.dataTransfer.getData(type));
      }}
    >
      <span>
        {chain?.steps[stepId] ?? step.kind}
        {step.when && <span className="text-soft"> while {setup.model.conditions?.[step.when]?.label}</span>}
      </span>
    </PieceButton>
  );
}

function Step({ value, children }: { value: number | undefined; children: React.ReactNode }) {
  return (
    <span className="inline-flex min-w-0 items-center gap-1">
      {children}
      {value !== undefined && (
        <small className="font-mono text-[0.75rem] whitespace-nowrap text-soft">
          {signed(Math.round(value * 10) / 10)} %
        </small>
      )}
    </span>
  );
}
