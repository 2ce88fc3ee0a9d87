import { Plus } from 'lucide-react';
import { auxName } from '../../../api/aux';
import { freeId, makeEdit } from '../../../api/edits';
import type { Setup, SetupView } from '../../../api/types';
import { spellOut } from '../../../path/orders';
import type { Changes } from '../../../edits/useChanges';
import { Button } from '../../../ui/Button';
import { SelectField } from '../../../ui/SelectField';
import { ChannelRow } from './ChannelRow';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** All channels of the model, by number. */
export function ChannelsPart({ setup, view, changes }: Props) {
  const channels = Object.entries(setup.model.channels).sort(([, a], [, b]) => a.number - b.number);
  const taken = new Set(channels.map(([, c]) => c.number));
  const free = Array.from({ length: setup.transmitter.channels }, (_, i) => i + 1).find((n) => !taken.has(n));
  const add = (number: number) => {
    const id = freeId(`channel ${number}`, setup.model.channels);
    const value = { number, label: `Channel ${number}`, take: { kind: 'constant', value: 0 } };
    void changes.edit(makeEdit(`Add channel ${number}`, setup, [{ path: ['model', 'channels', id], value }]));
  };
  return (
    <>
      <div className="mb-2 flex flex-wrap items-end justify-between gap-3">
        <p className="max-w-[60ch] text-soft">
          Read a chain from left to right; the small figure is the value after the step, now.
        </p>
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
      {free !== undefined && (
        <Button className="mt-3" onClick={() => add(free)}>
          <Plus size={15} aria-hidden /> Channel {free}
          {auxName(free) && ` (${auxName(free)})`}
        </Button>
      )}
    </>
  );
}
