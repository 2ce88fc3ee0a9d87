import { useState } from 'react';
import type { Changes } from '../../../edits/useChanges';
import { AlarmTuning } from './AlarmTuning';
import { ColumnTable } from './ColumnTable';
import { FlightDrop } from './FlightDrop';
import { FlightTiles } from './FlightTiles';
import { useFlights } from './useFlights';

interface Props {
  id: string;
  changes: Changes;
}

/** Recorded flights: the model's own alarms run over them, so that they are tuned on flights instead of by ear. */
export function FlightsPart({ id, changes }: Props) {
  const { flights, drop, invent, tell, remove } = useFlights(id);
  const [looked, setLooked] = useState<string | null>(null);
  const [columns, setColumns] = useState(false);
  const usable = flights.filter((f) => f.rows > 0);
  const shown = flights.find((f) => f.id === looked) ?? flights.at(-1);
  return (
    <FlightDrop
      craft={id}
      empty={flights.length === 0}
      sends={drop.isPending || invent.isPending}
      error={drop.error ?? invent.error}
      onFiles={async (files) => {
        for (const file of files) setLooked((await drop.mutateAsync(file)).id);
      }}
      onInvent={async (kind) => setLooked((await invent.mutateAsync(kind)).id)}
    >
      <FlightTiles
        flights={flights}
        shown={shown?.id ?? null}
        columns={columns}
        onShow={setLooked}
        onColumns={setColumns}
        onRemove={(flight) => remove.mutate(flight)}
      />
      {shown && (columns || (!shown.reads && shown.rows === 0)) && (
        <ColumnTable
          key={shown.id}
          flight={shown}
          error={tell.error}
          onTell={(told) => tell.mutate({ flight: shown.id, columns: told })}
        />
      )}
      {usable.length > 0 && (
        <AlarmTuning
          id={id}
          flights={usable}
          shown={usable.find((f) => f.id === shown?.id) ?? null}
          changes={changes}
        />
      )}
    </FlightDrop>
  );
}
