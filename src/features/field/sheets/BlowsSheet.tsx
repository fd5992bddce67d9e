import sheetsCss from '@/features/field/sheets/sheets.module.css';
import Box from '@mui/material/Box';
import { Row } from '@/ui/layout/Row';
import { IconAct } from '@/ui/controls/IconAct';
import { Note } from '@/ui/controls/Note';
import { Tick } from '@/ui/controls/Tick';
import Button from '@mui/material/Button';
import { TextInput } from '@/ui/controls/TextInput';
import { useState } from 'react';
import { fresh, type SheetProps } from './Tried';

/** Blows on clamped parts, two side by side: light and hard ones counted. */
export function BlowsSheet({ report, onChange, parts }: SheetProps & { parts: readonly string[] }) {
  const list = report.beaten ?? [];
  const [name, setName] = useState('');
  const change = (id: string, with_: object) =>
    onChange({ beaten: list.map((one) => (one.id === id ? { ...one, ...with_ } : one)) });
  return (
    <>
      <Note>Glasses on: a part that comes loose flies.</Note>
      {list.map(({ id, name: called, light, hard, failed }) => (
        <Box component="section" sx={{ mt: 1 }} key={id} aria-label={called}>
          <Row>
            <Box component="b" sx={{ flex: 1 }}>
              {called}
            </Box>
            <label>
              <Tick checked={failed} onChange={(event) => change(id, { failed: event.target.checked })} />{' '}
              failed
            </label>
            <IconAct
              icon="takeOut"
              label={`Take ${called} out`}
              onClick={() => onChange({ beaten: list.filter((one) => one.id !== id) })}
            />
          </Row>
          <div className={sheetsCss.counter}>
            <Button
              variant="go"
              aria-label={`Light blow on ${called}`}
              onClick={() => change(id, { light: light + 1 })}
            >
              {light}
              <small>light</small>
            </Button>
            <Button
              variant="stop"
              aria-label={`Hard blow on ${called}`}
              onClick={() => change(id, { hard: hard + 1 })}
            >
              {hard}
              <small>hard</small>
            </Button>
          </div>
          <Row>
            {light > 0 ? (
              <Button variant="link" onClick={() => change(id, { light: light - 1 })}>
                one light less
              </Button>
            ) : null}
            {hard > 0 ? (
              <Button variant="link" onClick={() => change(id, { hard: hard - 1 })}>
                one hard less
              </Button>
            ) : null}
          </Row>
        </Box>
      ))}
      <Row
        as="form"
        sx={{ mt: 1, flexWrap: 'nowrap' }}
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() === '') return;
          onChange({
            beaten: [...list, { id: fresh('blow'), name: name.trim(), light: 0, hard: 0, failed: false }],
          });
          setName('');
        }}
      >
        <TextInput
          boxed
          sx={{ flex: 1, minWidth: 0 }}
          aria-label="Part to beat"
          list="beaten-parts"
          placeholder="a part, e.g. carrier, lying"
          maxLength={80}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <datalist id="beaten-parts">
          {parts.map((part) => (
            <option key={part} value={part} />
          ))}
        </datalist>
        <Button type="submit" disabled={name.trim() === ''}>
          Clamp it
        </Button>
      </Row>
    </>
  );
}
