import { RANGES } from '../../api/generated/ranges';
import { useQuery } from '@tanstack/react-query';
import { wireFormatsQuery } from '../../api/queries';
import { makeEdit } from '../../api/edits';
import type { Setup, SetupView, WireSettings } from '../../api/types';
import { LookAtDrafts } from '../../edits/LookAtDrafts';
import type { Changes } from '../../edits/useChanges';
import { NumberField } from '../../ui/NumberField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { WholeWay } from '../WholeWay';
import { StationHead } from '../../ui/StationHead';
import { CaptureDesk } from './CaptureDesk';
import { FormatCard } from './FormatCard';
import { LatencyBar } from './LatencyBar';
import { PortTable } from './PortTable';
import { Term } from '../../ui/Term';

interface Props {
  id: string;
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** The wire between receiver and board: which format it speaks, how long it takes, and what a recording of it says. */
export default function WireStation({ id, setup, view, changes }: Props) {
  const { wire } = setup;
  const { data: formats = [] } = useQuery(wireFormatsQuery);
  const put = (title: string, values: Partial<WireSettings>) =>
    void changes.edit(
      makeEdit(
        title,
        setup,
        Object.entries(values).map(([member, value]) => ({ path: ['wire', member], value })),
      ),
    );
  const choose = (format: string) => {
    const chosen = formats.find((f) => f.format === format);
    if (chosen)
      put(`${chosen.wire.name} on the wire`, { format: chosen.format, framePeriod: chosen.wire.usualPeriods[0] ?? 20 });
  };
  return (
    <>
      <StationHead title={`Wire: ${view.wire.name} from receiver to board`}>
        One <Term word="frame" /> after the other, each value a <Term word="count" />. Set the same format on the
        receiver, on the board and here. Or let a recording of the wire tell.
      </StationHead>
      <div className="mb-4 flex flex-wrap items-end gap-x-5 gap-y-3">
        <SelectField
          label="The board is told"
          value={wire.format}
          options={formats.map((f) => ({ value: f.format, label: `${f.wire.name} · ${f.wire.channels} channels` }))}
          onChange={choose}
        />
        <SelectField
          label="On the receiver itself is set"
          value={wire.receiverSpeaks ?? ''}
          options={[
            { value: '', label: 'not known' },
            ...formats.map((f) => ({ value: f.format, label: f.wire.name })),
          ]}
          onChange={(v) =>
            put('Format set on the receiver', {
              receiverSpeaks: v === '' ? undefined : (v as WireSettings['receiverSpeaks']),
            })
          }
        />
        <TextField
          label="Your hardware calls it"
          value={wire.alias ?? ''}
          maxLength={40}
          width={16}
          onCommit={(alias) => put(`The wire format is called ${alias}`, { alias })}
        />
        <LookAtDrafts changes={changes}>
          <NumberField
            label="A frame every"
            unit="ms"
            value={wire.framePeriod}
            {...RANGES['wire.framePeriod']}
            step={0.5}
            onCommit={(framePeriod) => put(`A frame every ${framePeriod} ms`, { framePeriod })}
          />
        </LookAtDrafts>
        <SelectField
          label="Makes whole counts"
          value={wire.rounding ?? 'nearest'}
          options={[
            { value: 'nearest', label: 'by rounding' },
            { value: 'truncate', label: 'by cutting off' },
          ]}
          onChange={(rounding) => put('Rounding of the wire', { rounding: rounding as WireSettings['rounding'] })}
        />
      </div>
      <FormatCard wire={view.wire} carried={view.carriedChannels} />
      <LatencyBar parts={view.latency} />
      <PortTable setup={setup} view={view} changes={changes} />
      <CaptureDesk key={id} id={id} changes={changes} />
      <WholeWay station="wire" />
    </>
  );
}
