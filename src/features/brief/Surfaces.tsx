'use client';

import Typography from '@mui/material/Typography';
import { Fold } from '@/ui/controls/Fold';
import Button from '@mui/material/Button';
import { itemsOf } from '@/core/car/library/items';
import { useReader } from '@/ui/reader';
import { libraryOptions } from '../fields/libraryOptions';
import { AddFrom } from '../fields/AddFrom';
import { useBuild } from '../session/BuildContext';
import { DocumentField, Group } from '../fields/fields';

/** The surfaces that the car is for, each with the figures that this build reckons with. */
export function Surfaces() {
  const { document, library, edit, closed } = useBuild();
  const { reader } = useReader();
  const items = itemsOf(library, 'surface');
  const chosen = document.brief.surfaces;
  const add = (id: string) => {
    const item = items.find((one) => one.id === id);
    if (!item) return;
    const key = id.replace(/^surface-/, '');
    edit([{ path: ['brief', 'surfaces', key], value: { id: key, libraryId: id, ...item.data } }]);
  };
  return (
    <Group title="Surfaces" aside={chosen.length === 0 ? 'choose one to start' : undefined}>
      {chosen.map((surface) => (
        <Fold
          title={
            <>
              {surface.name}{' '}
              <Typography variant="reading" color="textSecondary">
                μ {surface.mu} ± {surface.muError}, roll {surface.rollingResistance}
              </Typography>
            </>
          }
          key={surface.id}
        >
          <DocumentField path={['brief', 'surfaces', surface.id, 'mu']} />
          <DocumentField path={['brief', 'surfaces', surface.id, 'muError']} />
          <DocumentField path={['brief', 'surfaces', surface.id, 'rollingResistance']} />
          <DocumentField path={['brief', 'surfaces', surface.id, 'rollingResistanceError']} />
          {closed ? null : (
            <Button
              variant="text"
              onClick={() => edit([{ path: ['brief', 'surfaces', surface.id], value: undefined }])}
            >
              take {surface.name.toLowerCase()} out
            </Button>
          )}
        </Fold>
      ))}
      {closed ? null : (
        <AddFrom
          label="Add a surface"
          path="brief.surfaces"
          options={libraryOptions(
            items.filter(({ id }) => !chosen.some(({ libraryId }) => libraryId === id)),
            reader,
          )}
          onAdd={add}
        />
      )}
      {chosen.length > 0 ? (
        <Typography variant="small" color="textSecondary">
          Starting values, ± one standard deviation; your own run corrects them.
        </Typography>
      ) : null}
    </Group>
  );
}
