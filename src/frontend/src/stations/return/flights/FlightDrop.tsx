import clsx from 'clsx';
import { Download, FileUp } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { ActionMenu } from '../../../ui/ActionMenu';
import { FileButton } from '../../../ui/FileButton';
import { Notice } from '../../../ui/Notice';
import { INVENTED, type InventedKind } from './useFlights';

interface Props {
  craft: string;
  /** True while no flight is there. */
  empty: boolean;
  sends: boolean;
  error: Error | null;
  onFiles: (files: File[]) => Promise<void>;
  onInvent: (kind: InventedKind) => Promise<void>;
  children: ReactNode;
}

/** Where recorded flights are dropped, anywhere on the page. What fails is told by the notice. */
export function FlightDrop({ craft, empty, sends, error, onFiles, onInvent, children }: Props) {
  const [over, setOver] = useState(false);
  const take = (files: File[]) => void onFiles(files).catch(() => undefined);
  return (
    <div
      className={clsx('min-h-72 rounded', over && 'outline-2 outline-offset-4 outline-sea outline-dashed')}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget as Node | null)) setOver(false);
      }}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        take([...event.dataTransfer.files]);
      }}
    >
      {empty && (
        <p className="mb-2 max-w-[75ch] text-soft">
          Drop a recorded flight here: a table over time (CSV) with the pack’s voltage, and current or throttle, link
          quality, strength, distance where there are some. The alarms of this model run over it, on the bench’s own
          clock, and you see what would have been spoken, and when.
        </p>
      )}
      <div className="mb-2 flex flex-wrap items-center gap-2">
        <FileButton
          label="Recorded flight"
          icon={FileUp}
          look={empty ? 'solid' : undefined}
          disabled={sends}
          onFile={(file) => take([file])}
        >
          {sends ? 'Sending…' : 'Choose a recording'}
        </FileButton>
        <ActionMenu
          trigger="An invented flight"
          actions={INVENTED}
          onChoose={(kind) => void onInvent(kind as InventedKind).catch(() => undefined)}
        />
        {empty && (
          <a
            className="target inline-flex min-h-8 items-center gap-1.5 text-sm font-semibold underline"
            href={`/api/setups/${craft}/invented-flights/gusts`}
          >
            <Download size={15} aria-hidden /> One as CSV
          </a>
        )}
      </div>
      {error && (
        <Notice title="The flight was not taken">
          <p>{error.message}</p>
        </Notice>
      )}
      {children}
    </div>
  );
}
