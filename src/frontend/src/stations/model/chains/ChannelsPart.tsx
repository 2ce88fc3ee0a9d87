import { Plus } from 'lucide-react';
import { Fragment, useState } from 'react';
import { auxName } from '../../../api/aux';
import { freeId, makeEdit } from '../../../api/edits';
import type { Setup, SetupView } from '../../../api/types';
import { spellOut } from '../../../path/orders';
import type { Changes } from '../../../edits/useChanges';
import { Button } from '../../../ui/Button';
import { SelectField } from '../../../ui/SelectField';
import { ChannelRow } from './ChannelRow';
import { PieceEditor } from './PieceEditor';
import { pieceId, type Piece } from './pieces';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** All channels of the model, by number. */
export function ChannelsPart({ setup, view, changes }: Props) {
  const [open, setOpen] = useState<{ channel: string; piece: Piece } | null>(null);
  const close = () => {
    if (open) window.document.getElementById(pieceId(open.channel, open.piece))?.focus();
    setOpen(null);
  };
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
      <div className="flex flex-wrap items-center justify-between gap-x-3 gap-y-1">
        <p className="max-w-[60ch] text-[0.87rem] text-soft">
          From left to right; the figure after a step is its value now.
        </p>
        <span className="ml-auto text-sm text-soft" aria-hidden>
          Sticks are sent on channels 1 to 4 as
        </span>
        <SelectField
          quiet
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
              <th className="font-semibold">Channel</th>
              <th className="font-semibold">Carries</th>
              <th className="font-semibold">Chain</th>
              <th
                colSpan={2}
                className="text-right font-semibold whitespace-nowrap"
                title="The bar goes from 1000 to 2000 µs"
              >
                Sent now
              </th>
            </tr>
          </thead>
          <tbody>
            {channels.map(([id, channel]) => (
              <Fragment key={id}>
                <ChannelRow
                  id={id}
                  channel={channel}
                  setup={setup}
                  view={view}
                  changes={changes}
                  open={open?.channel === id ? open.piece : null}
                  onOpen={(piece) => setOpen(piece && { channel: id, piece })}
                />
                {open?.channel === id && (
                  <PieceEditor
                    id={id}
                    channel={channel}
                    piece={open.piece}
                    setup={setup}
                    view={view}
                    changes={changes}
                    onClose={close}
                  />
                )}
              </Fragment>
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
