import clsx from 'clsx';
import type { ReactNode } from 'react';
import { array, string } from 'valibot';
import { makeEdit } from '../../api/edits';
import type { Setup, SetupView } from '../../api/types';
import { useBenchState } from '../../bench/BenchProvider';
import { LookAtDrafts } from '../../edits/LookAtDrafts';
import type { Changes } from '../../edits/useChanges';
import { axisOf } from '../../path/orders';
import { Button } from '../../ui/Button';
import { together } from '../../ui/figures';
import { SelectField } from '../../ui/SelectField';
import { SentenceRow } from '../../ui/SentenceRow';
import { TextField } from '../../ui/TextField';
import { TravelBar } from '../../ui/TravelBar';
import { useKept } from '../../ui/useKept';
import { StationParts } from '../StationParts';
import { ComparePart } from './ComparePart';
import { FunctionTable } from './FunctionTable';
import { GuardFields } from './GuardFields';
import { LossPart } from './loss/LossPart';
import { LossFields } from './LossFields';
import { MeasurePart } from './MeasurePart';
import { PositionTable } from './PositionTable';
import { SymptomsPart } from './SymptomsPart';
import type { Put } from './put';
import { TravelFields } from './TravelFields';
import { Term } from '../../ui/Term';

interface Props {
  id: string;
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** What the board makes of the signal: its axes, its functions, and what each position of a switch makes it do. */
export default function BoardStation({ id, setup, view, changes }: Props) {
  return (
    <StationParts
      title={`Board: what it makes of the signal${setup.board.alias ? ` · ${setup.board.alias}` : ''}`}
      label="Parts of the board"
      parts={[
        { part: 'settings', name: 'Settings', content: <SettingsPart setup={setup} view={view} changes={changes} /> },
        {
          part: 'measure',
          name: 'Measure',
          content: <MeasurePart key={id} id={id} setup={setup} view={view} changes={changes} />,
        },
        { part: 'loss', name: 'Loss', content: <LossPart id={id} setup={setup} changes={changes} /> },
        { part: 'compare', name: 'Compare', content: <ComparePart id={id} /> },
        { part: 'symptoms', name: 'Symptoms', content: <SymptomsPart id={id} changes={changes} /> },
      ]}
    />
  );
}

// Which groups are open; a browser may have kept what another version wrote.
const opened = array(string());

function SettingsPart({ setup, view, changes }: Omit<Props, 'id'>) {
  const { board } = setup;
  const [open, setOpen] = useKept('zephyros-open-settings', opened, []);
  const put: Put = (title, path, value) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['board', ...path], value }]));
  const meanFor = (id: string, control: string) =>
    void changes.edit(
      makeEdit(`${board.functions[id]?.label} is meant for another control`, setup, [
        { path: ['board', 'functions', id, 'control'], value: control },
        { path: ['board', 'functions', id, 'planned'], value: undefined },
      ]),
    );
  const fields: Record<string, ReactNode> = {
    receiver: <ReceiverFields board={board} put={put} />,
    travel: <TravelFields board={board} view={view} put={put} />,
    arming: <GuardFields guards={board.guards ?? {}} usualTilt={view.starts.tiltLimit} put={put} />,
    loss: <LossFields board={board} put={put} />,
    wander: <Button onClick={() => put('No measured wander', ['wander'], {})}>Forget the wander</Button>,
    names: <NameFields board={board} put={put} />,
  };
  return (
    <>
      <h2 className="sr-only">Settings</h2>
      <p className="text-soft">
        What arrives, as the board reads it; its <Term word="guard">guards</Term> and its <Term word="loss procedure" />
        . Propellers off.
      </p>
      <AxisBars map={board.map} />
      <LookAtDrafts changes={changes}>
        <div className="mb-4 border-t-2 border-ink">
          {view.board
            .filter((group) => group.id in fields)
            .map((group) => (
              <SentenceRow
                key={group.id}
                name={group.name}
                // What is as usual is quiet.
                says={group.sentences.map(({ text, isUsual }) => (
                  <span key={text} className={clsx(isUsual && 'text-soft')}>
                    {together(text)}{' '}
                  </span>
                ))}
                open={open.includes(group.id)}
                onOpen={(now) => setOpen(now ? [...open, group.id] : open.filter((id) => id !== group.id))}
              >
                {fields[group.id]}
              </SentenceRow>
            ))}
        </div>
        <FunctionTable setup={setup} view={view} put={put} changes={changes} meanFor={meanFor} />
      </LookAtDrafts>
      <PositionTable rows={view.rows} setup={setup} />
    </>
  );
}

function ReceiverFields({ board, put }: { board: Setup['board']; put: Put }) {
  return (
    <SelectField
      label="Receiver is on"
      value={board.receiverPort}
      options={Object.entries(board.ports)
        .sort(([a], [b]) => a.localeCompare(b))
        .map(([id, port]) => ({ value: id, label: port.takenBy ? `${port.label} (${port.takenBy})` : port.label }))}
      onChange={(port) => put('Receiver on another port', ['receiverPort'], port)}
    />
  );
}

function NameFields({ board, put }: { board: Setup['board']; put: Put }) {
  return (
    <>
      <TextField
        label="What you call the board"
        value={board.alias ?? ''}
        maxLength={40}
        width={26}
        onCommit={(v) => put(v === '' ? 'No name for the board' : `Board is called ${v}`, ['alias'], v)}
      />
      <SelectField
        label="It names spans"
        value={board.spanNumbering ?? 'axis'}
        options={[
          { value: 'axis', label: 'by axis' },
          { value: 'channel', label: 'by channel, from 1' },
          { value: 'channel-from-zero', label: 'by channel, from 0' },
        ]}
        onChange={(v) => put('How the board names its spans', ['spanNumbering'], v)}
      />
    </>
  );
}

/** The board's axes in its own order, each with what it receives now. */
function AxisBars({ map }: { map: string }) {
  const bars = useBenchState((s) => s.message?.snapshot.bars ?? {});
  return (
    <dl className="mb-4 grid max-w-4xl grid-cols-2 gap-x-8 max-md:grid-cols-1">
      {['A', 'E', 'R', 'T'].map((letter) => {
        const channel = map.indexOf(letter);
        const us = bars[axisOf(letter)]?.now ?? 1500;
        return (
          <div key={letter} className="grid grid-cols-[10.5rem_1fr_5rem] items-center gap-2">
            <dt>
              <b>{axisOf(letter)}</b>{' '}
              <span className="text-[0.8rem] text-soft">
                ({letter}) channel {channel + 1}
              </span>
            </dt>
            <dd className="contents">
              <TravelBar us={us} />
              <span className="text-right font-mono font-bold whitespace-nowrap">
                {us.toFixed(0)} <span className="text-xs font-normal text-soft">µs</span>
              </span>
            </dd>
          </div>
        );
      })}
    </dl>
  );
}
