import { ENDS } from '@/core/car/document/suspension';
import { USUAL_SHAFT } from '@/core/worked/train/shaftEnds';
import { USUAL_ACROSS } from '@/core/worked/space/thingsOfCar';
import { Fold } from '@/ui/controls/Fold';
import { DocumentField, Group } from '../../fields/fields';
import { useBuild } from '../../session/BuildContext';
import { ShellAndWires } from './ShellAndWires';
import { TrainPlaces } from './TrainPlaces';

/** What is wished under the car, and how thick what moves is. */
export function RoomBench() {
  const { document } = useBuild();
  const drawn = ENDS.filter((end) => document.suspension[end]?.corner);
  return (
    <>
      <Group title="Wished under it">
        <DocumentField path={['chassis', 'groundMm']} example={20} />
        <DocumentField path={['chassis', 'stepMm']} example={30} />
      </Group>
      <ShellAndWires />
      <TrainPlaces />
      {drawn.map((end) => (
        <Fold key={end} title={`How thick the ${end} links are`}>
          <DocumentField path={['suspension', end, 'armMm']} label="Arms" usual={USUAL_ACROSS.armMm} />
          <DocumentField
            path={['suspension', end, 'linkMm']}
            label="Rods and links"
            usual={USUAL_ACROSS.linkMm}
          />
          <DocumentField
            path={['suspension', end, 'damperMm']}
            label="Damper’s body"
            usual={USUAL_ACROSS.damperMm}
          />
          <DocumentField
            path={['suspension', end, 'shaftMm']}
            label="Drive shaft"
            usual={USUAL_SHAFT.acrossMm}
          />
          <DocumentField
            path={['suspension', end, 'shaftInnerMm']}
            label="Its inner joint, from the middle"
            usual={USUAL_SHAFT.innerMm}
          />
          <DocumentField
            path={['suspension', end, 'shaftInnerZMm']}
            label="Its inner joint, over the ground"
            usual={document.suspension[end]?.corner?.wheelCentre[2]}
          />
        </Fold>
      ))}
    </>
  );
}
