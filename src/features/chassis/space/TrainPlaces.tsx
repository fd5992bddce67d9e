import { drivenOf, motorsApart, motorsInWheels } from '@/core/car/document/drive';
import { axleOf, placedStages } from '@/core/worked/train/trainOfCar';
import { Fold } from '@/ui/controls/Fold';
import { DocumentField } from '../../fields/fields';
import { useBuild } from '../../session/BuildContext';

/** Where the driven gears stand, as far as no axle says it. */
export function TrainPlaces() {
  const { document } = useBuild();
  const { drive } = document;
  if (motorsApart(drive) || motorsInWheels(drive)) return null;
  const heightMm = axleOf(document, drivenOf(drive)[0]!)?.[2];
  return placedStages(drive).map(({ stage, number, onAxle, beforeBevel }) => {
    const at = (key: string) => ['drive', 'stages', stage.id, 'at', key];
    return (
      <Fold key={stage.id} title={`Where stage ${number}’s driven gear stands`}>
        {onAxle ? null : (
          <DocumentField path={at('xMm')} label="From the front axle, forward" example={-240} />
        )}
        <DocumentField path={at('yMm')} label="From the middle, to the left" usual={0} />
        {onAxle ? null : (
          <DocumentField
            path={at('zMm')}
            label="Over the ground"
            {...(beforeBevel && heightMm !== undefined ? { usual: heightMm } : { example: 50 })}
          />
        )}
      </Fold>
    );
  });
}
