'use client';

import supplyCss from './supply.module.css';
import fieldsCss from '@/ui/fields.module.css';
import { Row } from '@/ui/layout/Row';
import { IconAct } from '@/ui/controls/IconAct';
import Button from '@mui/material/Button';
import { Select } from '@/ui/controls/Select';
import { TextInput } from '@/ui/controls/TextInput';
import { Tick } from '@/ui/controls/Tick';
import type { ReactNode } from 'react';
import { type PowerLoad, type PowerRail, USUAL_SHEDS_W, chargedV } from '@/core/car/document/power';
import { itemsOf, loadForBuild } from '@/core/car/library/items';
import { BATTERY, LOAD_KINDS, RAIL_KINDS } from '@/core/physics/supply/budgetDefinition';
import { newId } from '../api';
import { AddFrom } from '../fields/AddFrom';
import { libraryOptions } from '../fields/libraryOptions';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';
import { DocumentChoice, DocumentField, Group } from '../fields/fields';
import { LibraryPick } from '../fields/LibraryPick';
import { PackCaution } from './PackBench';
import { Fields } from '../frame/Guarded';

/** Everything that hangs on the pack: what feeds it, what it gives or wants. */
export function SupplyBench({
  chosen,
  onChoose,
}: {
  chosen: string | undefined;
  onChoose(id: string | undefined): void;
}) {
  const { document, library, edit, closed } = useBuild();
  const { reader } = useReader();
  const { battery, rails = [], loads = [] } = document.power;
  const add = (list: 'rails' | 'loads', item: object, id: string) => {
    edit([{ path: ['power', list], value: [...(document.power[list] ?? []), { id, ...item }] }]);
    onChoose(id);
  };
  const addRail = (itemId: string) => {
    const item = itemsOf(library, 'regulator').find(({ id }) => id === itemId);
    if (item)
      add('rails', { libraryId: item.id, ...item.data, from: BATTERY }, `rail-${newId().slice(0, 8)}`);
  };
  const addLoad = (itemId: string) => {
    const item = [...itemsOf(library, 'servo'), ...itemsOf(library, 'receiver')].find(
      ({ id }) => id === itemId,
    );
    const rail = rails[0]?.id ?? BATTERY;
    add(
      'loads',
      item
        ? { ...loadForBuild(item), rail }
        : {
            name: itemId === 'light' ? 'Lights' : itemId === 'sensor' ? 'Sensor' : 'Something else',
            kind: itemId,
            rail,
          },
      `load-${newId().slice(0, 8)}`,
    );
  };
  const others = LOAD_KINDS.filter((kind) => kind !== 'servo' && kind !== 'receiver');
  return (
    <Fields>
      <Group title="Pack and controller">
        <LibraryPick
          kind="battery"
          path={['power', 'battery']}
          copy={({ id, data }) => ({ libraryId: id, ...data })}
        />
        <LibraryPick
          kind="controller"
          path={['power', 'controller']}
          copy={({ id, data }) => ({ libraryId: id, ...data })}
        />
        <DocumentField path={['power', 'cutoffVPerCell']} example={3.3} />
        {[...rails, ...loads].some(({ meteredV }) => meteredV !== undefined) ? (
          <DocumentField
            path={['power', 'meteredPackV']}
            usual={battery ? chargedV(battery.cells) : undefined}
          />
        ) : null}
      </Group>
      <Group title="Regulators">
        {rails.map((rail) => (
          <Item key={rail.id} item={rail} list="rails" open={chosen === rail.id} onChoose={onChoose}>
            <RailFields rail={rail} />
          </Item>
        ))}
        {closed ? null : (
          <AddFrom
            label="Add a regulator"
            path="power.rails"
            options={libraryOptions(itemsOf(library, 'regulator'), reader)}
            onAdd={addRail}
          />
        )}
      </Group>
      <Group title="What they feed">
        {loads.map((load) => (
          <Item key={load.id} item={load} list="loads" open={chosen === load.id} onChoose={onChoose}>
            <LoadFields load={load} />
          </Item>
        ))}
        {closed ? null : (
          <AddFrom
            label="Add a load"
            path="power.loads"
            options={libraryOptions(
              [...itemsOf(library, 'receiver'), ...itemsOf(library, 'servo')],
              reader,
            ).concat(
              others.map((kind) => ({ id: kind, name: kind === 'other' ? 'something else' : `a ${kind}` })),
            )}
            onAdd={addLoad}
          />
        )}
      </Group>
      <PackCaution />
    </Fields>
  );
}

interface ItemProps {
  item: PowerRail | PowerLoad;
  list: 'rails' | 'loads';
  open: boolean;
  onChoose(id: string | undefined): void;
  children: ReactNode;
}

function Item({ item, list, open, onChoose, children }: ItemProps) {
  const { edit, closed } = useBuild();
  return (
    <section aria-label={item.name} className={fieldsCss.supplyitem}>
      <Row sx={{ flexWrap: 'nowrap' }}>
        <Button
          variant="link"
          className={supplyCss.item}
          aria-expanded={open}
          onClick={() => onChoose(open ? undefined : item.id)}
        >
          {item.name}
        </Button>
        <FedBy item={item} list={list} />
        <IconAct
          icon="takeOut"
          label={`Remove ${item.name}`}
          disabled={closed}
          onClick={() => edit([{ path: ['power', list, item.id], value: undefined }])}
        />
      </Row>
      {open ? children : null}
    </section>
  );
}

function FedBy({ item, list }: { item: PowerRail | PowerLoad; list: 'rails' | 'loads' }) {
  const { document, edit, closed } = useBuild();
  const key = list === 'rails' ? 'from' : 'rail';
  const value = 'from' in item ? item.from : item.rail;
  return (
    <Select
      aria-label={`${item.name} is fed by`}
      value={value}
      disabled={closed}
      sx={{ maxWidth: 120 }}
      onChange={(event) => edit([{ path: ['power', list, item.id, key], value: event.target.value }])}
    >
      <option value={BATTERY}>the pack</option>
      {(document.power.rails ?? [])
        .filter(({ id }) => id !== item.id)
        .map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
    </Select>
  );
}

function Name({ path, value }: { path: readonly string[]; value: string }) {
  const { edit, closed, session } = useBuild();
  return (
    <div className={fieldsCss.textField} onBlur={() => session.endStep()}>
      <label htmlFor={path.join('-')}>Name</label>
      <TextInput
        id={path.join('-')}
        defaultValue={value}
        maxLength={80}
        disabled={closed}
        onBlur={(event) => {
          const typed = event.target.value.trim();
          if (typed !== '' && typed !== value) edit([{ path, value: typed }]);
        }}
      />
    </div>
  );
}

const KIND_WORDS = {
  direct: 'plain junction',
  linear: 'linear',
  buck: 'switching, steps down',
  boost: 'switching, steps up',
} as const;

function RailFields({ rail }: { rail: PowerRail }) {
  const path = (key: string) => ['power', 'rails', rail.id, key];
  return (
    <div>
      <Name path={path('name')} value={rail.name} />
      <DocumentChoice
        path={path('kind')}
        label="Kind"
        options={RAIL_KINDS.map((kind) => [kind, KIND_WORDS[kind]] as const)}
      />
      {rail.kind === 'direct' ? null : (
        <>
          <DocumentField path={path('setV')} />
          <DocumentField path={path('dropoutV')} usual={rail.kind === 'linear' ? 1 : 0.3} />
        </>
      )}
      <DocumentField path={path('minInV')} />
      <DocumentField path={path('maxInV')} />
      <DocumentField path={path('continuousA')} />
      <DocumentField path={path('peakA')} usual={rail.continuousA} />
      <DocumentField path={path('meteredV')} />
      {rail.kind === 'linear' ? <DocumentField path={path('shedsW')} usual={USUAL_SHEDS_W} /> : null}
      {rail.kind === 'buck' || rail.kind === 'boost' ? (
        <DocumentField path={path('efficiency')} usual={0.9} />
      ) : null}
    </div>
  );
}

function LoadFields({ load }: { load: PowerLoad }) {
  const { edit, closed } = useBuild();
  const path = (...keys: string[]) => ['power', 'loads', load.id, ...keys];
  return (
    <div>
      <Name path={path('name')} value={load.name} />
      <DocumentField path={path('massG')} label="Mass" example={55} />
      <DocumentField path={path('minV')} />
      <DocumentField path={path('maxV')} />
      <DocumentField path={path('typicalA')} />
      <DocumentField path={path('peakA')} label={load.kind === 'servo' ? 'Stalls at' : undefined} />
      <DocumentField path={path('meteredV')} />
      <div className={fieldsCss.field}>
        <label>
          <Tick
            sx={{ width: 'auto' }}
            checked={load.peaksTogether ?? true}
            disabled={closed}
            onChange={(event) =>
              edit([{ path: path('peaksTogether'), value: event.target.checked ? undefined : false }])
            }
          />{' '}
          its peak comes with those of the others
        </label>
      </div>
      {load.kind === 'servo' ? (
        <>
          <DocumentField path={path('servo', 'lowV')} />
          <DocumentField path={path('servo', 'lowTorqueKgcm')} />
          <DocumentField path={path('servo', 'lowSecondsPer60Deg')} />
          <DocumentField path={path('servo', 'highV')} />
          <DocumentField path={path('servo', 'highTorqueKgcm')} />
          <DocumentField path={path('servo', 'highSecondsPer60Deg')} />
          <DocumentField path={path('steer', 'contactWidthMm')} example={25} />
          <DocumentField path={path('steer', 'scrubRadiusMm')} example={8} />
          <DocumentField path={path('steer', 'linkageRatio')} usual={1} />
          <DocumentField path={path('steer', 'linkageEfficiency')} usual={0.8} />
        </>
      ) : null}
    </div>
  );
}
