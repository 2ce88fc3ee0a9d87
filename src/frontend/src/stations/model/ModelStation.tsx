import { Tabs } from 'radix-ui';
import { useSearchParams } from 'react-router';
import type { Setup, SetupView } from '../../api/types';
import type { Changes } from '../../setup/useChanges';
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

const PARTS = [
  { part: 'channels', name: 'Channels' },
  { part: 'logic', name: 'Logic' },
  { part: 'states', name: 'Flight states' },
  { part: 'ready-made', name: 'Ready-made' },
];

/** The transmitter's model: what each channel carries, the logic behind it, the flight states, and chains that insert themselves. */
export function ModelStation({ id, setup, view, changes }: Props) {
  const [search, setSearch] = useSearchParams();
  const part = PARTS.find((p) => p.part === search.get('part'))?.part ?? 'channels';
  return (
    <Tabs.Root value={part} onValueChange={(next) => setSearch({ part: next }, { replace: true })}>
      <div className="mb-3 flex flex-wrap items-end gap-x-6 gap-y-2 border-b border-line">
        <h1 className="pb-1 text-[1.45rem] leading-tight font-bold tracking-tight">Model: what each channel carries</h1>
        <Tabs.List aria-label="Parts of the model" className="flex gap-1">
          {PARTS.map(({ part: value, name }) => (
            <Tabs.Trigger
              key={value}
              value={value}
              className="min-h-9 border-b-4 border-transparent px-2.5 font-semibold text-soft hover:text-ink data-[state=active]:border-sea data-[state=active]:text-ink"
            >
              {name}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
      </div>
      <Tabs.Content value="channels">
        <ChannelsPart setup={setup} view={view} changes={changes} />
      </Tabs.Content>
      <Tabs.Content value="logic">
        <LogicPart setup={setup} view={view} changes={changes} />
      </Tabs.Content>
      <Tabs.Content value="states">
        <StatesPart setup={setup} view={view} changes={changes} />
      </Tabs.Content>
      <Tabs.Content value="ready-made">
        <ReadyMadePart id={id} changes={changes} />
      </Tabs.Content>
    </Tabs.Root>
  );
}
