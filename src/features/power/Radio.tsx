'use client';

import { TextInput } from '@/ui/controls/TextInput';
import { Tick } from '@/ui/controls/Tick';
import { Note } from '@/ui/controls/Note';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { FAILSAFE_WORDS } from '@/words/failsafe';
import { FAILSAFE_ITEMS, type FailsafeItem } from '@/core/car/document/power';
import { failsafeMarks, undoneBy } from '@/core/worked/power/failsafe';
import { When } from '@/ui/When';
import { useBuild } from '../session/BuildContext';
import { DocumentField, Group } from '../fields/fields';
import { LibraryPick } from '../fields/LibraryPick';
import { Fields } from '../frame/Guarded';

/** Transmitter, receiver and how far away the car is driven. */
export function RadioBench() {
  const { document, edit, closed } = useBuild();
  const { radio, loads = [] } = document.power;
  const receiver = loads.find(({ kind }) => kind === 'receiver');
  const words = (path: readonly string[], label: string, value: string | undefined) => (
    <div className="field text">
      <label htmlFor={path.join('-')}>{label}</label>
      <TextInput
        id={path.join('-')}
        key={value}
        defaultValue={value}
        maxLength={40}
        disabled={closed}
        onBlur={(event) => {
          const typed = event.target.value.trim();
          if (typed !== (value ?? '')) edit([{ path, value: typed === '' ? undefined : typed }]);
        }}
      />
    </div>
  );
  return (
    <Fields>
      <Group title="Transmitter">
        <LibraryPick
          kind="transmitter"
          path={['power', 'radio', 'transmitter']}
          copy={({ id, data }) => ({ libraryId: id, ...data })}
        />
        {radio?.transmitter ? (
          <>
            <p className="quiet">speaks {radio.transmitter.protocol}</p>
            <DocumentField path={['power', 'radio', 'transmitter', 'channels']} label="Channels" />
            <DocumentField path={['power', 'radio', 'transmitter', 'rangeM']} />
          </>
        ) : null}
      </Group>
      <Group title="Receiver">
        {receiver ? (
          <>
            {words(['power', 'loads', receiver.id, 'protocol'], 'Protocol', receiver.protocol)}
            <DocumentField path={['power', 'loads', receiver.id, 'channels']} label="Channels" />
          </>
        ) : (
          <p className="quiet">Add a receiver under Supply first.</p>
        )}
      </Group>
      <Group title="The link">
        <DocumentField path={['power', 'radio', 'awayM']} example={80} />
        <div className="field">
          <label>
            <Tick
              style={{ width: 'auto' }}
              checked={radio?.gyroGain ?? false}
              disabled={closed}
              onChange={(event) =>
                edit([{ path: ['power', 'radio', 'gyroGain'], value: event.target.checked || undefined }])
              }
            />{' '}
            a gyro’s gain is set from the transmitter
          </label>
        </div>
      </Group>
    </Fields>
  );
}

/** The fail-safe list: each test tried by hand, ticked with its day, and undone by a later change of what it stands on. */
export function RadioView() {
  const { document, edit, closed } = useBuild();
  const { power } = document;
  const ticks = power.failsafe ?? [];
  const marks = failsafeMarks(power);
  const set = (id: FailsafeItem, passed: boolean) =>
    edit([
      {
        path: ['power', 'failsafe'],
        value: [
          ...ticks.filter((tick) => tick.id !== id),
          ...(passed ? [{ id, at: new Date().toISOString(), of: marks }] : []),
        ],
      },
    ]);
  return (
    <section aria-label="Fail-safe list" style={{ marginTop: 10 }}>
      <Note tone="bad">
        Before each test: wheels off the ground, pinion out where you can, fingers and hair away, nobody in
        the plane of the wheels. Local rules go first.
      </Note>
      <div className="gridbox">
        <Table size="small" className="grid">
          <TableHead>
            <TableRow>
              <TableCell>Test</TableCell>
              <TableCell>How</TableCell>
              <TableCell>Passed</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {FAILSAFE_ITEMS.map((id) => {
              const tick = ticks.find((one) => one.id === id);
              const undone = tick ? undoneBy(tick, marks) : [];
              const counts = tick !== undefined && undone.length === 0;
              return (
                <TableRow
                  key={id}
                  data-failsafe={id}
                  data-state={counts ? 'passed' : tick ? 'undone' : 'open'}
                >
                  <TableCell style={{ minWidth: 210 }}>
                    <label style={{ fontWeight: 600 }}>
                      <Tick
                        checked={counts}
                        disabled={closed}
                        onChange={(event) => set(id, event.target.checked)}
                      />{' '}
                      {FAILSAFE_WORDS[id].what}
                    </label>
                  </TableCell>
                  <TableCell className="quiet">{FAILSAFE_WORDS[id].how}</TableCell>
                  <TableCell style={{ minWidth: 150 }}>
                    {!tick ? (
                      <span className="quiet">not yet</span>
                    ) : counts ? (
                      <When at={tick.at} />
                    ) : (
                      <span style={{ color: 'var(--rust)' }}>
                        <When at={tick.at} />, undone: the {undone.join(' and the ')} changed
                      </span>
                    )}
                  </TableCell>
                </TableRow>
              );
            })}
          </TableBody>
        </Table>
      </div>
    </section>
  );
}
