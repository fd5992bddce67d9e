'use client';

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
    <section className="gridbox" aria-label="Wiring list" style={{ marginTop: 10 }}>
      <Table size="small" className="grid">
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
      <p className="quiet" style={{ fontSize: 12, marginTop: 6 }}>
        Disconnect the pack before you solder, slide the sleeve on first, and check plus and minus before the
        pack goes back. Solder fumes: fresh air. Local rules go first.
      </p>
    </section>
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
      style={{ maxWidth: 128, ...(misfit ? { borderColor: 'var(--rust)' } : {}) }}
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
      <TableCell style={{ minWidth: 110, color: thin ? 'var(--rust)' : undefined }}>
        <div className="bare">
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
      <TableCell className="quiet">
        {misfit ? <b style={{ color: 'var(--rust)' }}>does not fit; </b> : null}
        {POLARITY_WORDS[polarity]}
      </TableCell>
    </TableRow>
  );
}
