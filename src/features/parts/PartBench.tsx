'use client';

import Box from '@mui/material/Box';
import fieldsCss from '@/ui/fields.module.css';
import { Row } from '@/ui/layout/Row';
import { IconAct } from '@/ui/controls/IconAct';
import { Select } from '@/ui/controls/Select';
import { TextInput } from '@/ui/controls/TextInput';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { PART_KINDS, type PartKind } from '@/core/car/parts/partKinds';
import type { Part } from '@/core/car/parts/parts';
import { PART_KIND_NAMES } from '@/words/labels/partKinds';
import { materialForBuild } from '@/core/car/library/items';
import { USUAL_CRUSH_MM } from '@/core/worked/parts/casesOfBuild';
import { hasLayers } from '@/core/worked/parts/materialOfBuild';
import { USUAL_LINE_MM } from '@/core/worked/parts/partSection';
import { newId } from '../api';
import { AddFrom } from '../fields/AddFrom';
import { useBuild } from '../session/BuildContext';
import { DocumentChoice, DocumentField, Group } from '../fields/fields';
import { LibraryPick } from '../fields/LibraryPick';
import { LinkOfLoad } from './LinkOfLoad';
import { LOAD_OPTIONS } from './words';
import { Fields } from '../frame/Guarded';
import { isMadeHere, MadeFields } from './made/MadeFields';
import { ScrewGroups } from './ScrewGroups';
import { Shape } from './PartShapeFields';

/** The parts, and of the chosen one: what it is made of, how it is printed, a few dimensions, what acts on it. */
export function PartBench({
  part,
  drawn,
  onChoose,
}: {
  part: Part | undefined;
  /** What it is drawn from comes first. */
  drawn: boolean;
  onChoose(partId: string): void;
}) {
  const { document, closed, failures } = useBuild();
  const { items } = document.parts;
  return (
    <Fields>
      <Group title="Part" aside={`${items.length} in all`}>
        {items.length > 0 ? (
          <div className={fieldsCss.pick}>
            <Select
              look="strong"
              aria-label="Choose a part"
              value={part?.id ?? ''}
              onChange={(event) => onChoose(event.target.value)}
            >
              {items.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                  {failures.some(({ partId }) => partId === id) ? ', has failed' : ''}
                </option>
              ))}
            </Select>
          </div>
        ) : null}
        {closed ? null : <NewPart onAdded={onChoose} />}
      </Group>
      {part && drawn && isMadeHere(part) ? <MadeFields key={`${part.id}-made`} part={part} /> : null}
      {part ? <PartFields key={part.id} part={part} /> : null}
    </Fields>
  );
}

function NewPart({ onAdded }: { onAdded(id: string): void }) {
  const { edit } = useBuild();
  const [name, setName] = useState('');
  const [kind, setKind] = useState<PartKind>('arm');
  const add = () => {
    const named = name.trim().slice(0, 80);
    if (named === '') return;
    const id = `part-${newId().slice(0, 8)}`;
    edit([{ path: ['parts', 'items', id], value: { id, name: named, kind } satisfies Part }]);
    setName('');
    onAdded(id);
  };
  return (
    <Row
      as="form"
      sx={{ mt: 0.75, flexWrap: 'nowrap' }}
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <TextInput
        boxed
        sx={{ minWidth: 0, flex: 1 }}
        aria-label="Name of the part"
        placeholder="e.g. Front arm"
        value={name}
        maxLength={80}
        onChange={(event) => setName(event.target.value)}
      />
      <Select
        sx={{ maxWidth: 110 }}
        aria-label="Kind of part"
        value={kind}
        onChange={(event) => setKind(event.target.value as PartKind)}
      >
        {PART_KINDS.map((one) => (
          <option key={one} value={one}>
            {PART_KIND_NAMES[one]}
          </option>
        ))}
      </Select>
      <Button type="submit" aria-label="Add the part" disabled={name.trim() === ''}>
        Add
      </Button>
    </Row>
  );
}

function PartFields({ part }: { part: Part }) {
  const { edit, closed, failures } = useBuild();
  const at = (...keys: string[]) => ['parts', 'items', part.id, ...keys];
  const failed = failures.filter(({ partId }) => partId === part.id).length;
  const layered = !part.material || hasLayers(part.material);
  return (
    <>
      <Group
        title={PART_KIND_NAMES[part.kind]}
        aside={failed > 0 ? `failed ${failed === 1 ? 'once' : `${failed} times`}` : undefined}
      >
        <PartName part={part} />
        <DocumentField path={at('massG')} label="Mass of one" example={20} />
      </Group>
      <Group title="Made of">
        <LibraryPick kind="material" path={at('material')} copy={materialForBuild} />
        {layered ? (
          <DocumentChoice
            path={at('layers')}
            options={[
              ['along', 'along it, the strong way'],
              ['across', 'across it, the weak way'],
            ]}
          />
        ) : null}
        {layered ? (
          <>
            <DocumentField path={at('perimeters')} example={4} />
            <DocumentField path={at('infill')} usual={1} />
            {part.perimeters === undefined ? null : (
              <DocumentField path={at('lineMm')} usual={USUAL_LINE_MM} />
            )}
          </>
        ) : null}
        <DocumentField path={at('temperatureC')} usual={23} />
      </Group>
      <Shape part={part} />
      <Loads part={part} />
      <ScrewGroups part={part} />
      {closed ? null : (
        <Button
          variant="text"
          sx={{ mt: 1 }}
          aria-label={`Take ${part.name} out`}
          onClick={() => edit([{ path: at(), value: undefined }])}
        >
          take {part.name.toLowerCase()} out
        </Button>
      )}
    </>
  );
}

function Loads({ part: { id, loads = [], shape } }: { part: Part }) {
  const { edit, closed } = useBuild();
  const at = (...keys: string[]) => ['parts', 'items', id, 'loads', ...keys];
  const add = (from: string) =>
    edit([
      {
        path: at(),
        value: [
          ...loads,
          {
            id: `load-${newId().slice(0, 8)}`,
            from,
            ...(from === 'own' ? { forceN: 50 } : {}),
            ...(from === 'link' ? { end: 'front', link: 'damper' } : {}),
          },
        ],
      },
    ]);
  return (
    <Group title="What acts on it">
      {loads.map((load, index) => (
        <section key={load.id} aria-label={`Load ${index + 1}`} className={fieldsCss.supplyitem}>
          <Row sx={{ flexWrap: 'nowrap' }}>
            <Box component="b" sx={{ flex: 1 }}>
              {LOAD_OPTIONS.find(({ id }) => id === load.from)?.name ?? load.from}
            </Box>
            <IconAct
              icon="takeOut"
              label={`Take load ${index + 1} off`}
              disabled={closed}
              onClick={() => edit([{ path: at(load.id), value: undefined }])}
            />
          </Row>
          {load.from === 'own' ? (
            <DocumentField path={at(load.id, 'forceN')} />
          ) : (
            <DocumentField path={at(load.id, 'share')} usual={1} />
          )}
          {load.from === 'link' ? <LinkOfLoad load={load} path={at(load.id)} /> : null}
          <DocumentField path={at(load.id, 'times')} usual={1} />
          {shape?.as === 'beam' ? (
            <DocumentChoice
              path={at(load.id, 'bends')}
              options={[
                ['upright', 'upright, against its thickness'],
                ['sideways', 'sideways, against its width'],
              ]}
            />
          ) : null}
        </section>
      ))}
      {closed ? null : (
        <AddFrom label="Add a load" path={at().join('.')} options={LOAD_OPTIONS} onAdd={add} />
      )}
      {loads.some(({ from }) => from === 'noseCrash') ? (
        <DocumentField path={['parts', 'crushMm']} usual={USUAL_CRUSH_MM} />
      ) : null}
    </Group>
  );
}

function PartName({ part }: { part: Part }) {
  const { edit, closed, session } = useBuild();
  const [text, setText] = useState<string>();
  return (
    <div className={fieldsCss.textField}>
      <label htmlFor={`name-${part.id}`}>Name</label>
      <TextInput
        id={`name-${part.id}`}
        aria-label={`Name of ${part.name}`}
        value={text ?? part.name}
        maxLength={80}
        disabled={closed}
        onChange={(event) => {
          setText(event.target.value);
          if (event.target.value.trim() !== '')
            edit([{ path: ['parts', 'items', part.id, 'name'], value: event.target.value.trim() }], part.id);
        }}
        onBlur={() => {
          setText(undefined);
          session.endStep();
        }}
      />
    </div>
  );
}
