'use client';

import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import TableContainer from '@mui/material/TableContainer';
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
    <div className={fieldsCss.textField}>
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
            <Typography color="textSecondary">speaks {radio.transmitter.protocol}</Typography>
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
          <Typography color="textSecondary">Add a receiver under Supply first.</Typography>
        )}
      </Group>
      <Group title="The link">
        <DocumentField path={['power', 'radio', 'awayM']} example={80} />
        <div className={fieldsCss.field}>
          <label>
            <Tick
              sx={{ width: 'auto' }}
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
    <Box component="section" sx={{ mt: 1.25 }} aria-label="Fail-safe list">
      <Note tone="bad">
        Before each test: wheels off the ground, pinion out where you can, fingers and hair away, nobody in
        the plane of the wheels. Local rules go first.
      </Note>
      <TableContainer>
        <Table size="small">
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
                  <TableCell sx={{ minWidth: 210 }}>
                    <Typography component="label" variant="strong">
                      <Tick
                        checked={counts}
                        disabled={closed}
                        onChange={(event) => set(id, event.target.checked)}
                      />{' '}
                      {FAILSAFE_WORDS[id].what}
                    </Typography>
                  </TableCell>
                  <TableCell data-tone="quiet">{FAILSAFE_WORDS[id].how}</TableCell>
                  <TableCell sx={{ minWidth: 150 }}>
                    {!tick ? (
                      <Typography component="span" color="textSecondary">
                        not yet
                      </Typography>
                    ) : counts ? (
                      <When at={tick.at} />
                    ) : (
                      <Typography component="span" color="error">
                        <When at={tick.at} />, undone: the {undone.join(' and the ')} changed
                      </Typography>
                    )}
                  </TableCell>
                </TableRow>
              );
            })}
          </TableBody>
        </Table>
      </TableContainer>
    </Box>
  );
}
