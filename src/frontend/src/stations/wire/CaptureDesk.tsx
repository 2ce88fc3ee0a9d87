import { useMutation } from '@tanstack/react-query';
import clsx from 'clsx';
import { Download, FileUp } from 'lucide-react';
import { useState } from 'react';
import { answer, api } from '../../api/client';
import { recognise } from '../../api/recognise';
import type { Changes } from '../../edits/useChanges';
import { ActionMenu } from '../../ui/ActionMenu';
import { FileButton } from '../../ui/FileButton';
import { Notice } from '../../ui/Notice';
import { CaptureResult } from './CaptureResult';

interface Props {
  id: string;
  changes: Changes;
}

const FAULTS = [
  { id: 'none', name: 'As it is' },
  { id: 'flipped', name: 'Behind an inverter', hint: 'high is low' },
  { id: 'loose-wire', name: 'With a loose plug', hint: 'some frames are damaged' },
  { id: 'link-away', name: 'While the link is away', hint: 'for 0.9 s' },
  { id: 'transmitter-off', name: 'Transmitter off, a stick kept moving', hint: 'for 3 s' },
];

/** Where a recording of the signal wire is dropped and told what it speaks. */
export function CaptureDesk({ id, changes }: Props) {
  const [over, setOver] = useState(false);
  const path = { params: { path: { id } } };
  const recognised = useMutation({
    mutationFn: async ({ bytes }: { name: string; bytes: Promise<Blob> }) => recognise(id, await bytes),
  });
  // Another wire of the same recording.
  const looked = useMutation({
    mutationFn: (capture: string) =>
      answer(api.GET('/api/setups/{id}/captures/{capture}', { params: { path: { id, capture } } })),
  });
  const shown = looked.data ?? recognised.data;
  const put = (recording: { name: string; bytes: Promise<Blob> }) => {
    looked.reset();
    recognised.mutate(recording);
  };
  const take = (file: File | undefined) => {
    if (file) put({ name: file.name, bytes: Promise.resolve(file) });
  };
  const record = (fault: string) =>
    put({
      name: 'the simulated receiver',
      bytes: answer(
        api.GET('/api/setups/{id}/recording', { params: { ...path.params, query: { fault } }, parseAs: 'blob' }),
      ),
    });
  return (
    <section aria-labelledby="captures" className="mb-6">
      <h2 id="captures" className="text-lg font-bold">
        What does the wire really speak?
      </h2>
      <div
        className={clsx(
          'my-2 flex max-w-4xl flex-wrap items-center gap-x-4 gap-y-2 rounded border-2 border-dashed p-3',
          over ? 'border-sea bg-sea-wash' : 'border-line',
        )}
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(event) => {
          event.preventDefault();
          setOver(false);
          take(event.dataTransfer.files[0]);
        }}
      >
        <p className="basis-full">
          Drop a recording of the signal wire here: a value change dump (VCD) or a list of times and levels (CSV) from a
          logic analyser, with as many wires as you like, or the bare bytes. Up to 50 MB.
        </p>
        <FileButton
          label="Recording of the signal wire"
          icon={FileUp}
          look="solid"
          disabled={recognised.isPending}
          onFile={take}
        >
          {recognised.isPending ? 'Reading…' : 'Choose a recording'}
        </FileButton>
        <ActionMenu trigger="Record the simulated receiver" actions={FAULTS} onChoose={record} />
        <a
          className="target inline-flex min-h-8 items-center gap-1.5 text-sm font-semibold underline"
          href={`/api/setups/${id}/recording`}
        >
          <Download size={15} aria-hidden /> VCD
        </a>
        <a
          className="target inline-flex min-h-8 items-center gap-1.5 text-sm font-semibold underline"
          href={`/api/setups/${id}/recording?format=csv`}
        >
          <Download size={15} aria-hidden /> CSV
        </a>
      </div>
      {recognised.error && (
        <Notice title={`Not read: ${recognised.variables.name}`}>
          <p>{recognised.error.message}</p>
        </Notice>
      )}
      {looked.error && (
        <Notice title="The other wire is not there any more">
          <p>{looked.error.message}</p>
        </Notice>
      )}
      {shown && recognised.variables && (
        <CaptureResult
          key={shown.id}
          id={id}
          name={recognised.variables.name}
          capture={shown}
          changes={changes}
          onLine={looked.mutate}
        />
      )}
    </section>
  );
}
