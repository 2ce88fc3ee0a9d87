import type { Setup, SetupView } from '../../api/types';
import type { Changes } from '../../edits/useChanges';
import { StationParts } from '../StationParts';
import { ChannelsPart } from './chains/ChannelsPart';
import { LogicPart } from './logic/LogicPart';
import { ReadyMadePart } from './readymade/ReadyMadePart';
import { StatesPart } from './states/StatesPart';

interface Props {
  id: string;
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** The transmitter's model: what each channel carries, the logic behind it, the flight states, and chains that insert themselves. */
export function ModelStation({ id, setup, view, changes }: Props) {
  const all = { setup, view, changes };
  return (
    <StationParts
      title="Model: what each channel carries"
      label="Parts of the model"
      parts={[
        { part: 'channels', name: 'Channels', content: <ChannelsPart {...all} /> },
        { part: 'logic', name: 'Logic', content: <LogicPart {...all} /> },
        { part: 'states', name: 'Flight states', content: <StatesPart {...all} /> },
        { part: 'ready-made', name: 'Ready-made', content: <ReadyMadePart id={id} changes={changes} /> },
      ]}
    />
  );
}
