import { Hand } from 'lucide-react';
import { useState } from 'react';
import { makeEdit } from '../../../api/edits';
import type { Channel, ControlView, Setup, Source } from '../../../api/types';
import { useFlick } from '../../../bench/useFlick';
import type { Changes } from '../../../edits/useChanges';
import { Button } from '../../../ui/Button';
import { SourcePicker } from './SourcePicker';

interface Props {
  id: string;
  channel: Channel;
  setup: Setup;
  controls: readonly ControlView[];
  changes: Changes;
}

/** What a channel takes: chosen from the list, or by flicking the control twice. */
export function TakeEditor({ id, channel, setup, controls, changes }: Props) {
  const [flicking, setFlicking] = useState(false);
  const take = (source: Source) =>
    void changes.edit(
      makeEdit(`Channel ${channel.number} takes something else`, setup, [
        { path: ['model', 'channels', id, 'take'], value: source },
      ]),
    );
  const candidate = useFlick(flicking, controls, (control) => {
    setFlicking(false);
    take({ kind: 'control', control });
  });
  const name = controls.find((c) => c.id === candidate)?.name;
  return (
    <span className="flex items-center gap-1">
      <SourcePicker
        quiet
        dense
        label={`Channel ${channel.number} takes`}
        setup={setup}
        value={channel.take}
        except={id}
        onChange={take}
      />
      <Button
        className="pointer-fine:min-h-[24px]! px-1"
        look={flicking ? 'solid' : 'outline'}
        aria-pressed={flicking}
        aria-label={`Channel ${channel.number}: take the control that I flick`}
        title="Take the control that I flick twice"
        onClick={() => setFlicking(!flicking)}
      >
        <Hand size={15} aria-hidden />
        {flicking && <span role="status">{name ? `${name}? Once more` : 'Flick it'}</span>}
      </Button>
    </span>
  );
}
