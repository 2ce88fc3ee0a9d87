import clsx from 'clsx';
import { useState } from 'react';
import { auxName } from '../../../api/aux';
import type { ChainStep, Channel, Setup, SetupView } from '../../../api/types';
import { useBench, useBenchState } from '../../../bench/BenchProvider';
import { signed } from '../../../bench/Stick';
import type { Changes } from '../../../edits/useChanges';
import { Popup } from '../../../ui/Popup';
import { TravelBar } from '../../../ui/TravelBar';
import { moveStep, orderedSteps } from './chainEdits';
import { ChannelMenu } from './ChannelMenu';
import { InsertStep } from './InsertStep';
import { OutputEditor } from './OutputEditor';
import { StepEditor } from './StepEditor';
import { TakeEditor } from './TakeEditor';

interface Props {
  id: string;
  channel: Channel;
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** One channel: its chain from left to right with the value after every step, and what is sent. */
export function ChannelRow({ id, channel, setup, view, changes }: Props) {
  const { followed } = useBench();
  const [values, sent, forced] = useBenchState((s) => [
    s.message?.snapshot.steps[id] ?? [],
    s.message?.snapshot.sent[channel.number - 1] ?? 1500,
    s.message?.snapshot.forced[id] ?? null,
  ]);
  const steps = orderedSteps(channel);
  const overrides = Object.entries(setup.model.overrides ?? {}).filter(([, o]) => o.channel === id);
  const follows = channel.take.kind === 'control' && channel.take.control === followed;
  return (
    <tr
      className={clsx(
        'border-b border-hair max-md:grid max-md:grid-cols-[auto_1fr_auto] max-md:items-center max-md:py-2',
        follows && 'bg-sea-wash/60',
      )}
    >
      <td className="py-1.5 pr-3 whitespace-nowrap">
        <b className="text-xl">{channel.number}</b>
        <span className="ml-1.5 text-[0.8rem] font-semibold text-soft">{auxName(channel.number)}</span>
      </td>
      <td className="max-w-32 pr-3 max-md:max-w-none">
        <ChannelMenu id={id} channel={channel} setup={setup} changes={changes} />
      </td>
      <td className="py-1.5 pr-4 max-md:order-4 max-md:col-span-3">
        <div className="flex flex-wrap items-start gap-x-1.5 gap-y-1 p-0.5">
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
                  now={values[index]}
                  setup={setup}
                  view={view}
                  changes={changes}
                />
              </Step>
            </span>
          ))}
          <InsertStep setup={setup} channelId={id} index={steps.length} changes={changes} />
          <Step value={values[steps.length + 1]}>
            <OutputEditor id={id} channel={channel} setup={setup} changes={changes} />
          </Step>
          {overrides.map(([key, made]) => (
            <Step key={key} value={forced === key ? values[steps.length + 2] : undefined}>
              <span
                className={clsx(
                  'inline-flex min-h-8 items-center rounded-sm border-2 px-2 text-[0.87rem]',
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
      <td className="w-[13%] max-md:order-5 max-md:col-span-3 max-md:w-full">
        <TravelBar us={sent} />
      </td>
      <td className="pl-2 text-right max-md:order-3 font-mono font-bold whitespace-nowrap">
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
  now: number | undefined;
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** A step in words. It opens its editor, and can be dragged to another place of its chain. */
function StepChip({ channelId, stepId, step, index, now, setup, view, changes }: ChipProps) {
  const [over, setOver] = useState(false);
  const chain = view.chains[channelId];
  const holds = useBenchState((s) => (step.when ? (s.message?.snapshot.conditions[step.when] ?? false) : true));
  const drop = (dragged: string) => {
    const edit = moveStep(setup, channelId, dragged, index);
    if (edit) void changes.edit(edit);
  };
  const type = `step/${channelId}`.toLowerCase();
  return (
    <Popup
      label={`Step ${index + 1} of channel ${setup.model.channels[channelId]?.number}`}
      trigger={
        <button
          type="button"
          draggable
          className={clsx(
            'inline-flex min-h-8 max-w-64 items-center rounded-sm border bg-sheet px-2 text-left text-[0.87rem] leading-tight hover:border-ink',
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
            {step.when && (
              <span className="block text-[0.8rem] text-soft">while {setup.model.conditions?.[step.when]?.label}</span>
            )}
          </span>
        </button>
      }
    >
      <StepEditor
        setup={setup}
        channelId={channelId}
        stepId={stepId}
        step={step}
        samples={chain?.curves[stepId] ?? []}
        now={now}
        changes={changes}
      />
    </Popup>
  );
}

function Step({ value, children }: { value: number | undefined; children: React.ReactNode }) {
  return (
    <span className="inline-flex flex-col items-stretch">
      {children}
      <small className="text-center font-mono text-[0.73rem] leading-4 text-soft">
        {value === undefined ? '' : `${signed(Math.round(value * 10) / 10)} %`}
      </small>
    </span>
  );
}
