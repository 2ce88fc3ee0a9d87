import clsx from 'clsx';
import type { Channel, Setup, SetupView } from '../../api/types';
import { makeEdit } from '../../api/edits';
import { useBench, useBenchState } from '../../bench/BenchProvider';
import { signed } from '../../bench/Stick';
import { spellOut } from '../../path/orders';
import type { Changes } from '../../setup/useChanges';
import { SelectField } from '../../ui/SelectField';
import { StationHead } from '../StationHead';
import { OutputEditor } from './OutputEditor';
import { TravelBar } from './TravelBar';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** What each channel carries: its chain from left to right with the value after every step, and what leaves the transmitter. */
export function ModelStation({ setup, view, changes }: Props) {
  const channels = Object.entries(setup.model.channels).sort(([, a], [, b]) => a.number - b.number);
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-x-6">
        <StationHead title="Model: what each channel carries">
          Read a chain from left to right; the small figure is the value after the step, now.
        </StationHead>
        <div className="mb-3">
          <SelectField
            label="Sticks are sent on channels 1 to 4 as"
            value={view.sentOrder ?? ''}
            options={[
              ...(view.sentOrder ? [] : [{ value: '', label: 'no full order', disabled: true }]),
              ...view.orders.map((order) => ({ value: order, label: spellOut(order) })),
            ]}
            onChange={(order) => void changes.sendOrder(order)}
          />
        </div>
      </div>
      <div className="-mx-1 overflow-x-auto px-1">
        <table className="w-full border-collapse">
          <thead className="max-md:sr-only">
            <tr className="border-b-2 border-ink text-left text-[0.84rem] text-soft">
              <th className="py-1 font-semibold">Channel</th>
              <th className="font-semibold">Carries</th>
              <th className="font-semibold">Chain</th>
              <th className="font-semibold whitespace-nowrap">
                <span className="flex justify-between px-[9%]">
                  <span>1000</span>
                  <span>1500</span>
                  <span>2000 µs</span>
                </span>
              </th>
              <th className="text-right font-semibold">Sent now</th>
            </tr>
          </thead>
          <tbody>
            {channels.map(([id, channel]) => (
              <ChannelRow key={id} id={id} channel={channel} setup={setup} view={view} changes={changes} />
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

function ChannelRow({ id, channel, setup, view, changes }: { id: string; channel: Channel } & Props) {
  const { followed } = useBench();
  const [steps, sent] = useBenchState((s) => [
    s.message?.snapshot.steps[id] ?? [],
    s.message?.snapshot.sent[channel.number - 1] ?? 1500,
  ]);
  const source = channel.take.control;
  const scales = Object.entries(channel.steps ?? {}).sort(([, a], [, b]) => a.order - b.order);
  return (
    <tr
      className={clsx(
        'border-b border-hair max-md:grid max-md:grid-cols-[auto_1fr_auto] max-md:items-center max-md:py-2',
        followed === source && 'bg-sea-wash/60',
      )}
    >
      <td className="py-1 pr-3 whitespace-nowrap">
        <b className="text-xl">{channel.number}</b>
        {channel.number > 4 && (
          <span className="ml-1.5 text-[0.8rem] font-semibold text-soft">AUX {channel.number - 4}</span>
        )}
      </td>
      <td className="max-w-28 pr-3 leading-tight font-bold max-md:max-w-none">{channel.label}</td>
      <td className="py-1 pr-4 max-md:order-4 max-md:col-span-3">
        <div className="flex items-start gap-x-4 gap-y-1 overflow-hidden p-0.5 max-md:flex-wrap">
          <Step value={steps[0]}>
            <SelectField
              quiet
              label={`Channel ${channel.number} takes`}
              value={source}
              options={view.controls.map((c) => ({ value: c.id, label: c.name }))}
              onChange={(control) =>
                void changes.edit(
                  makeEdit(`Channel ${channel.number} takes another control`, setup, [
                    { path: ['model', 'channels', id, 'take', 'control'], value: control },
                  ]),
                )
              }
            />
          </Step>
          {scales.map(([step, { scale = 100, shift = 0 }], i) => (
            <Step key={step} value={steps[i + 1]}>
              <span className="inline-flex h-8 items-center rounded-sm border border-line bg-sheet px-2 text-[0.87rem]">
                × {scale} %{shift !== 0 && ` ${signed(shift)}`}
              </span>
            </Step>
          ))}
          <Step value={steps[steps.length - 1]}>
            <OutputEditor id={id} channel={channel} setup={setup} changes={changes} />
          </Step>
        </div>
      </td>
      <td className="w-[22%] max-md:order-5 max-md:col-span-3 max-md:w-full">
        <TravelBar us={sent} />
      </td>
      <td className="pl-2 text-right max-md:order-3 font-mono font-bold whitespace-nowrap">
        {sent.toFixed(1)} <span className="text-xs font-normal text-soft">µs</span>
      </td>
    </tr>
  );
}

function Step({ value, children }: { value: number | undefined; children: React.ReactNode }) {
  return (
    <span className="group/step relative inline-flex flex-col items-stretch">
      <span className="absolute top-4 -left-4 h-px w-4 bg-soft group-first/step:hidden" aria-hidden />
      {children}
      <small className="text-center font-mono text-[0.73rem] leading-4 text-soft">
        {value === undefined ? '' : `${signed(Math.round(value * 10) / 10)} %`}
      </small>
    </span>
  );
}
