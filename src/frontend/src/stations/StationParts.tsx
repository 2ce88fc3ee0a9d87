import { Tabs } from 'radix-ui';
import type { ReactNode } from 'react';
import { useSearchParams } from 'react-router';

interface Part {
  part: string;
  name: string;
  content: ReactNode;
}

/** A station in several parts, one shown at a time; the address says which. */
export function StationParts({ title, label, parts }: { title: string; label: string; parts: readonly Part[] }) {
  const [search, setSearch] = useSearchParams();
  const shown = parts.find((p) => p.part === search.get('part')) ?? parts[0]!;
  return (
    <Tabs.Root value={shown.part} onValueChange={(part) => setSearch({ part }, { replace: true })}>
      <div className="mb-2 flex flex-wrap items-end gap-x-6 gap-y-2 border-b border-line">
        <h1 className="pb-1 text-[1.45rem] leading-tight font-bold tracking-tight">{title}</h1>
        <Tabs.List aria-label={label} className="flex flex-wrap gap-1">
          {parts.map(({ part, name }) => (
            <Tabs.Trigger
              key={part}
              value={part}
              className="min-h-9 border-b-4 border-transparent px-2.5 font-semibold text-soft hover:text-ink data-[state=active]:border-sea data-[state=active]:text-ink"
            >
              {name}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
      </div>
      {parts.map(({ part, content }) => (
        <Tabs.Content key={part} value={part}>
          {content}
        </Tabs.Content>
      ))}
    </Tabs.Root>
  );
}
