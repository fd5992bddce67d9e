'use client';

import fieldsCss from '@/ui/fields.module.css';
import TableContainer from '@mui/material/TableContainer';
import Typography from '@mui/material/Typography';
import { Note } from '@/ui/controls/Note';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { Select } from '@/ui/controls/Select';
import type { Wire } from '@/core/car/document/power';
import { PLUGS, type WireRow, wiringOf } from '@/core/worked/power/wiring';
import { formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';
import type { SupplyView } from './useSupply';
import { POLARITY_WORDS } from '@/words/labels/wiring';

/** Every wire to solder: from, to, what it carries, copper, plug and polarity. */
export function WiringTable({ view }: { view: SupplyView }) {
  const { document } = useBuild();
  const rows = wiringOf(document, view.supply, { packA: view.packA, motorA: view.motorA });
  if (rows.length === 0)
    return (
      <Note>
        Choose a pack and a controller, and hang receiver and servo on the pack under Supply: the wires
        between them stand here.
      </Note>
    );
  return (
    <TableContainer component="section" sx={{ mt: 1.25 }} aria-label="Wiring list">
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>From</TableCell>
            <TableCell>To</TableCell>
            <TableCell align="right">As a rule</TableCell>
            <TableCell align="right">Peak</TableCell>
            <TableCell align="right">Copper</TableCell>
            <TableCell>Plug</TableCell>
            <TableCell>Socket</TableCell>
            <TableCell>Polarity</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map((row) => (
            <Row key={row.id} row={row} />
          ))}
        </TableBody>
      </Table>
      <Typography variant="small" color="textSecondary" sx={{ mt: 0.75 }}>
        Disconnect the pack before you solder, slide the sleeve on first, and check plus and minus before the
        pack goes back. Solder fumes: fresh air. Local rules go first.
      </Typography>
    </TableContainer>
  );
}

function Row({
  row: { id, from, to, typicalA, peakA, wire, wantedMm2, polarity, misfit, thin },
}: {
  row: WireRow;
}) {
  const { document, edit, closed } = useBuild();
  const { reader } = useReader();
  const { wires } = document.power;
  const set = (key: keyof Wire, value: unknown) =>
    edit(
      wires
        ? [{ path: ['power', 'wires', id, key], value }]
        : [{ path: ['power', 'wires'], value: [{ id, [key]: value }] }],
      `wire-${id}-${key}`,
    );
  const plug = (key: 'plug' | 'socket', label: string) => (
    <Select
      aria-label={`${label}, ${from} to ${to}`}
      value={wire[key] ?? ''}
      disabled={closed}
      aria-invalid={misfit}
      sx={{ maxWidth: 128 }}
      onChange={(event) => set(key, event.target.value || undefined)}
    >
      <option value="">not said</option>
      {[...new Set([...PLUGS, ...(wire[key] ? [wire[key]] : [])])].map((one) => (
        <option key={one} value={one}>
          {one}
        </option>
      ))}
    </Select>
  );
  return (
    <TableRow data-wire={id}>
      <TableCell>{from}</TableCell>
      <TableCell>
        <b>{to}</b>
      </TableCell>
      <TableCell align="right">
        {typicalA === undefined ? '—' : formatText(typicalA, 'currentA', reader, 2)}
      </TableCell>
      <TableCell align="right">
        {peakA === undefined ? '—' : formatText(peakA, 'currentA', reader, 2)}
      </TableCell>
      <TableCell data-tone={thin ? 'fails' : undefined} sx={{ minWidth: 110 }}>
        <div className={fieldsCss.bare}>
          <QuantityField
            label={`Copper, ${from} to ${to}`}
            quantity="areaMm2"
            value={wire.areaMm2}
            usual={wantedMm2}
            limits={{ above: 0, to: 100 }}
            disabled={closed}
            onChange={(value) => set('areaMm2', value)}
          />
        </div>
      </TableCell>
      <TableCell>{plug('plug', 'Plug')}</TableCell>
      <TableCell>{plug('socket', 'Socket')}</TableCell>
      <TableCell data-tone="quiet">
        {misfit ? (
          <Typography variant="strong" color="error">
            does not fit;{' '}
          </Typography>
        ) : null}
        {POLARITY_WORDS[polarity]}
      </TableCell>
    </TableRow>
  );
}
