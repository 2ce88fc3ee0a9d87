import { useEffect, useRef, type ReactNode } from 'react';
import type { Channel, Setup, SetupView } from '../../../api/types';
import { useBenchState } from '../../../bench/BenchProvider';
import { LookAtDrafts } from '../../../edits/LookAtDrafts';
import type { Changes } from '../../../edits/useChanges';
import { orderedSteps } from './chainEdits';
import { ChannelNames } from './ChannelNames';
import { OutputEditor } from './OutputEditor';
import { pieceId, stepOf, type Piece } from './pieces';
import { StepEditor } from './StepEditor';

interface Props {
  id: string;
  channel: Channel;
  piece: Piece;
  setup: Setup;
  view: SetupView;
  changes: Changes;
  onClose: () => void;
}

/** The editor of one piece of a channel, below its chain: path, bench and all other channels stay in sight and in reach. */
export function PieceEditor({ id, channel, piece, setup, view, changes, onClose }: Props) {
  const values = useBenchState((s) => s.message?.snapshot.steps[id] ?? []);
  if (piece === 'names')
    return (
      <Below id={id} piece={piece} label={`Channel ${channel.number}`} changes={changes} onClose={onClose}>
        <ChannelNames id={id} channel={channel} setup={setup} changes={changes} />
      </Below>
    );
  if (piece === 'output')
    return (
      <Below
        id={id}
        piece={piece}
        label={`Output stage of channel ${channel.number}`}
        changes={changes}
        onClose={onClose}
      >
        <OutputEditor id={id} channel={channel} setup={setup} changes={changes} />
      </Below>
    );
  const steps = orderedSteps(channel);
  const index = steps.findIndex(([stepId]) => stepId === stepOf(piece));
  const found = steps[index];
  // It may have been taken out, here or by an undo.
  if (!found) return null;
  const [stepId, step] = found;
  return (
    <Below
      id={id}
      piece={piece}
      label={`Step ${index + 1} of channel ${channel.number}`}
      changes={changes}
      onClose={onClose}
    >
      <StepEditor
        setup={setup}
        channelId={id}
        stepId={stepId}
        step={step}
        samples={view.chains[id]?.curves[stepId] ?? []}
        now={values[index]}
        changes={changes}
      />
    </Below>
  );
}

interface BelowProps extends Pick<Props, 'id' | 'piece' | 'changes' | 'onClose'> {
  label: string;
  children: ReactNode;
}

function Below({ id, piece, label, changes, onClose, children }: BelowProps) {
  const place = useRef<HTMLElement>(null);
  useEffect(() => place.current?.querySelector<HTMLElement>('input, select, button')?.focus(), [id, piece]);
  return (
    <tr className="border-b border-hair max-md:block">
      <td colSpan={5} className="max-md:block">
        {/* Escape closes it wherever the focus is in it. */}
        {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
        <section
          ref={place}
          id={`${pieceId(id, piece)}-editor`}
          aria-label={label}
          className="mb-2 flex flex-wrap items-end gap-x-5 gap-y-3 border-l-4 border-sea bg-sheet px-4 py-3"
          onKeyDown={(event) => {
            // What lies over it, such as a menu, has taken it for itself.
            if (event.key !== 'Escape' || event.defaultPrevented) return;
            onClose();
          }}
        >
          <LookAtDrafts changes={changes}>{children}</LookAtDrafts>
        </section>
      </td>
    </tr>
  );
}
