import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, ProblemError } from '../../../api/client';
import type { ReadyMadeView } from '../../../api/types';
import type { Changes } from '../../../edits/useChanges';
import { Button } from '../../../ui/Button';
import { ParameterField } from './ParameterField';

interface Props {
  setup: string;
  chain: ReadyMadeView;
  changes: Changes;
}

/** What a ready-made chain needs to know, what it would do, and the button that builds it. */
export function ReadyMadeForm({ setup, chain, changes }: Props) {
  const [wanted, setWanted] = useState<Record<string, string>>({});
  const [built, setBuilt] = useState(false);
  const preview = useQuery({
    queryKey: ['setup', setup, 'ready-made', chain.id, wanted],
    queryFn: () =>
      answer(
        api.POST('/api/setups/{id}/ready-made/{chain}/preview', {
          params: { path: { id: setup, chain: chain.id } },
          body: { arguments: wanted },
        }),
      ),
    retry: (count, error) => !(error instanceof ProblemError && error.status === 400) && count < 2,
  });
  return (
    <form
      className="flex max-w-3xl flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        void changes.build(chain.id, wanted).then(setBuilt);
      }}
    >
      <div>
        <h2 className="text-lg font-bold">{chain.title}</h2>
        <p className="max-w-[70ch] text-soft">{chain.purpose}</p>
      </div>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
        {chain.parameters.map((parameter) => (
          <ParameterField
            key={parameter.name}
            parameter={parameter}
            value={wanted[parameter.name] ?? parameter.default}
            onChange={(value) => {
              setBuilt(false);
              setWanted({ ...wanted, [parameter.name]: value });
            }}
          />
        ))}
      </div>
      {built ? (
        <p role="status" className="rounded border border-moss bg-moss-wash p-3">
          <b className="text-moss">Built.</b> Look at the channel and try it in the dock, propellers off. Ctrl+Z takes
          it back.
        </p>
      ) : (
        <Button type="submit" look="solid" className="self-start" disabled={preview.isError}>
          Build it
        </Button>
      )}
      {preview.error && (
        <p role="alert" className="max-w-[70ch] rounded border border-ochre bg-ochre-wash p-3">
          {preview.error.message}
        </p>
      )}
      {preview.data && !built && (
        <div className="flex flex-col gap-3 rounded border border-line bg-sheet p-3">
          <div>
            <h3 className="text-sm font-bold text-soft">Goes into the model</h3>
            <ul className="list-disc pl-5 text-[0.93rem]">
              {preview.data.changes.map((change) => (
                <li key={change}>{change}</li>
              ))}
            </ul>
          </div>
          <div>
            <h3 className="text-sm font-bold text-soft">Worked out</h3>
            <ul className="list-disc pl-5 text-[0.93rem]">
              {preview.data.facts.map((fact) => (
                <li key={fact}>{fact}</li>
              ))}
            </ul>
          </div>
        </div>
      )}
    </form>
  );
}
