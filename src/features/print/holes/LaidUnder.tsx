import fieldsCss from '@/ui/fields.module.css';
import { Tick } from '@/ui/controls/Tick';
import type { HolePattern } from '@/core/car/document/print';
import { useBuild } from '../../session/BuildContext';
import { DocumentField, Group } from '../../fields/fields';

/** Lays the pattern under the plan of the chassis, so that what is drawn there fits what was measured. */
export function LaidUnder({ pattern: { id, under } }: { pattern: HolePattern }) {
  const { document, edit, closed } = useBuild();
  const path = ['print', 'patterns', id, 'under'];
  const behind = -(document.chassis.wheelbaseMm ?? 0) / 2;
  return (
    <Group title="On the chassis">
      <div className={fieldsCss.field}>
        <label>
          <Tick
            sx={{ width: 'auto' }}
            checked={under !== undefined}
            disabled={closed}
            onChange={(event) =>
              edit([{ path, value: event.target.checked ? { xMm: behind, yMm: 0, turnDeg: 0 } : undefined }])
            }
          />{' '}
          lie under the chassis drawing
        </label>
      </div>
      {under ? (
        <>
          <DocumentField path={[...path, 'xMm']} />
          <DocumentField path={[...path, 'yMm']} />
          <DocumentField path={[...path, 'turnDeg']} />
        </>
      ) : null}
    </Group>
  );
}
