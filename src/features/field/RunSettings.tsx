'use client';

import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import Box from '@mui/material/Box';
import { IconAct } from '@/ui/controls/IconAct';
import Button from '@mui/material/Button';
import { TextInput } from '@/ui/controls/TextInput';
import { useState } from 'react';
import type { RunSetting } from '@/core/car/records/records';
import { aidSettings } from '@/core/worked/aids/aidSettings';
import { QuantityField } from '@/ui/QuantityField';
import { useBuild } from '../session/BuildContext';
import type { Sheet } from './sheet';

/** Named settings that go with the run, so that runs can be compared by them; those of the aids in the build are offered. */
export function Settings({
  sheet: { settings },
  onChange,
}: {
  sheet: Sheet;
  onChange(settings: RunSetting[]): void;
}) {
  const { document } = useBuild();
  const [name, setName] = useState('');
  const [value, setValue] = useState<number>();
  const [round, setRound] = useState(0);
  const offered = aidSettings(document).filter((one) => !settings.some((own) => own.name === one.name));
  const add = () => {
    if (name.trim() === '' || value === undefined) return;
    onChange([...settings.filter((one) => one.name !== name.trim()), { name: name.trim(), value }]);
    setName('');
    setValue(undefined);
    setRound(round + 1);
  };
  return (
    <div aria-label="Settings of this run" role="group">
      {settings.map((one) => (
        <div key={one.name} className={fieldsCss.field}>
          <span>{one.name}</span>
          <Typography variant="reading">
            {one.value}{' '}
            <Typography component="small" variant="small" color="textSecondary">
              {one.unit}
            </Typography>{' '}
            <IconAct
              icon="takeOut"
              label={`Take ${one.name} out`}
              onClick={() => onChange(settings.filter((other) => other !== one))}
            />
          </Typography>
        </div>
      ))}
      {offered.length > 0 ? (
        <Button variant="link" sx={{ my: 0.5 }} onClick={() => onChange([...settings, ...offered])}>
          Take the settings of the aids along ({offered.length})
        </Button>
      ) : null}
      <Row sx={{ flexWrap: 'nowrap' }}>
        <TextInput
          boxed
          sx={{ flex: 1, minWidth: 0 }}
          aria-label="Name of a setting"
          placeholder="a setting, e.g. front toe"
          maxLength={60}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <Box className={fieldsCss.bare} sx={{ width: 130 }}>
          <QuantityField
            key={round}
            label="Value of the setting"
            quantity="coefficient"
            value={value}
            onChange={setValue}
          />
        </Box>
        <Button disabled={name.trim() === '' || value === undefined} onClick={add}>
          Add the setting
        </Button>
      </Row>
    </div>
  );
}
