import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { thingsOf } from '@/core/worked/space/thingsOfCar';
import { saidThing } from '@/core/worked/space/said';
import { middleOf } from '@/core/worked/space/apart';
import { Fold } from '@/ui/controls/Fold';
import { thingWords } from '@/words/checks/things';
import { firstUp } from '@/words/lists';
import { DocumentField, Group } from '../../fields/fields';
import { useBuild } from '../../session/BuildContext';

const SHELL = ['chassis', 'shell'];
/** Of a shell to start with, mm: beyond the tyres all round, open by so much round them at full bump, its edge over the ground. */
const [OVER_MM, OPEN_MM, EDGE_MM, HIGH_MM] = [12, 4, 25, 95];

/** The body shell as a box over the car, and the ways of the wires. */
export function ShellAndWires() {
  const { document, edit, closed } = useBuild();
  const { shell, wheelbaseMm, trackFrontMm = 0, trackRearMm = 0, ways = [] } = document.chassis;
  const radiusMm = document.drive.tyre?.radiusMm ?? 0;
  const { front, rear } = document.suspension;
  const wires = thingsOf(document).filter(({ wire }) => wire);
  const begin = () =>
    edit([
      {
        path: SHELL,
        value: {
          lengthMm: Math.round((wheelbaseMm ?? 0) + 2 * (radiusMm + OVER_MM)),
          widthMm: Math.round(Math.max(trackFrontMm, trackRearMm) + 2 * OVER_MM),
          heightMm: HIGH_MM,
          zMm: EDGE_MM,
          archMm: Math.round(radiusMm + Math.max(front?.bumpMm ?? 0, rear?.bumpMm ?? 0) + OPEN_MM),
        },
      },
    ]);
  const lead = (id: string, [x, y, z]: readonly [number, number, number]) => {
    const way = { id, xMm: Math.round(x), yMm: Math.round(y), zMm: Math.round(z) };
    edit(
      document.chassis.ways
        ? [{ path: ['chassis', 'ways', id], value: way }]
        : [{ path: ['chassis', 'ways'], value: [way] }],
    );
  };
  return (
    <>
      <Group
        title="Body shell"
        aside={
          closed || wheelbaseMm === undefined ? undefined : shell ? (
            <Button variant="link" onClick={() => edit([{ path: SHELL, value: undefined }])}>
              remove
            </Button>
          ) : (
            <Button variant="link" onClick={begin}>
              put one on
            </Button>
          )
        }
      >
        {shell ? (
          <>
            <DocumentField path={[...SHELL, 'lengthMm']} label="Long" />
            <DocumentField path={[...SHELL, 'widthMm']} label="Wide" />
            <DocumentField path={[...SHELL, 'heightMm']} label="High" />
            <DocumentField path={[...SHELL, 'zMm']} label="Lower edge at" usual={0} />
            <DocumentField path={[...SHELL, 'xMm']} usual={-(wheelbaseMm ?? 0) / 2} />
            <DocumentField path={[...SHELL, 'archMm']} label="Wheel openings, radius" usual={0} />
          </>
        ) : null}
      </Group>
      {wires.length === 0 ? null : (
        <Fold title={`${wires.length} ${wires.length === 1 ? 'wire' : 'wires'}`}>
          {wires.map((thing) => {
            const { id } = thing.wire!;
            const led = ways.some((way) => way.id === id);
            return (
              <Group
                key={id}
                title={firstUp(thingWords(saidThing(thing)))}
                aside={
                  closed ? undefined : led ? (
                    <Button
                      variant="link"
                      onClick={() => edit([{ path: ['chassis', 'ways', id], value: undefined }])}
                    >
                      straight
                    </Button>
                  ) : (
                    <Button variant="link" onClick={() => lead(id, middleOf(thing))}>
                      lead it round
                    </Button>
                  )
                }
              >
                {led ? (
                  <>
                    <DocumentField
                      path={['chassis', 'ways', id, 'xMm']}
                      label="By, ahead of the front axle"
                    />
                    <DocumentField path={['chassis', 'ways', id, 'yMm']} label="By, to the left" />
                    <DocumentField path={['chassis', 'ways', id, 'zMm']} label="By, over the ground" />
                  </>
                ) : (
                  <Typography variant="small" color="textSecondary">
                    straight
                  </Typography>
                )}
              </Group>
            );
          })}
        </Fold>
      )}
    </>
  );
}
