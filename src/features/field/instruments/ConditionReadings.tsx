import { Row } from '@/ui/layout/Row';
import { devicesOf } from './instruments';
import { TakeReading } from './Instruments';
import { OffDevices } from './OffDevices';
import { useInstruments } from './useInstruments';

export type ConditionRead = 'ambientC' | 'packVBefore' | 'packVAfter';

/** Air and pack as a thermometer and a meter show them now. */
export function ConditionReadings({ onTake }: { onTake(condition: ConditionRead, value: number): void }) {
  const state = useInstruments();
  const [thermometer, meter] = [devicesOf(state, 'thermometer')[0], devicesOf(state, 'meter')[0]];
  return (
    <OffDevices title="Read the conditions off devices">
      {thermometer ? (
        <Row>
          Air: <TakeReading device={thermometer} field="c" onTake={(value) => onTake('ambientC', value)} />
        </Row>
      ) : null}
      {meter ? (
        <Row>
          Pack before:{' '}
          <TakeReading device={meter} field="v" onTake={(value) => onTake('packVBefore', value)} /> after:{' '}
          <TakeReading device={meter} field="v" onTake={(value) => onTake('packVAfter', value)} />
        </Row>
      ) : null}
    </OffDevices>
  );
}
