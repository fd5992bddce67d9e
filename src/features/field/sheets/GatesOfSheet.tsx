import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { RUN_KIND_RECORDS } from '@/core/car/records/runKinds';
import { QuantityField } from '@/ui/QuantityField';
import { Tick } from '@/ui/controls/Tick';
import { Row } from '@/ui/layout/Row';
import type { Sheet } from '../sheet';

/** Markers in a line that are woven through: of a slalom, or of a settings series that is driven through some. */
export function GatesOfSheet({ sheet, onChange }: { sheet: Sheet; onChange(change: Partial<Sheet>): void }) {
  const { weaves, timed } = RUN_KIND_RECORDS[sheet.kind];
  const [asked, ask] = useState(false);
  if (!weaves && timed !== 'series') return null;
  const through = weaves || asked || sheet.gateSpacingM !== undefined;
  return (
    <>
      {weaves ? (
        <Typography>
          Stand markers in a line, even steps apart, and weave through them; time it from the first marker to
          the last. What the car could do at best stands beside it: the rest is the driver and the car’s
          manners.
        </Typography>
      ) : (
        <Row as="label" sx={{ flexWrap: 'nowrap' }}>
          <Tick
            checked={through}
            onChange={(event) => {
              ask(event.target.checked);
              if (!event.target.checked) onChange({ gateSpacingM: undefined, gateOffsetM: undefined });
            }}
          />{' '}
          Through markers, as a slalom
        </Row>
      )}
      {through ? (
        <>
          <QuantityField
            label="Marker to marker"
            quantity="distanceM"
            limits={{ above: 0, to: 1000 }}
            example={2}
            value={sheet.gateSpacingM}
            onChange={(gateSpacingM) => onChange({ gateSpacingM })}
          />
          <QuantityField
            label="Car’s middle beside a marker"
            quantity="distanceM"
            limits={{ above: 0, to: 100 }}
            example={0.25}
            value={sheet.gateOffsetM}
            onChange={(gateOffsetM) => onChange({ gateOffsetM })}
          />
        </>
      ) : null}
    </>
  );
}
