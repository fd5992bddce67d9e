import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import fieldsCss from '@/ui/fields.module.css';
import { Row } from '@/ui/layout/Row';
import Typography from '@mui/material/Typography';
import { TextInput } from '@/ui/controls/TextInput';
import Button from '@mui/material/Button';
import { Note } from '@/ui/controls/Note';
import { isRevealed, shuffledOrder } from '@/core/advice/learn/series';
import { type RunReport, SWEPT_SETTINGS, type SweptSetting } from '@/core/car/records/report';
import { SWEPT_SETTING_WORDS } from '@/words/bench/series';
import { Choice } from '../../fields/fields';
import { Tick } from '@/ui/controls/Tick';
import { useState } from 'react';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { parseNumber } from '@/core/base/units/parseNumber';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import type { Sheet } from '../sheet';

const MOST = 200;

/** Several values of one setting, each several times, in an order that drift cannot imitate. */
export function SeriesSetup({ sheet, onChange }: { sheet: Sheet; onChange(change: Partial<Sheet>): void }) {
  const { reader, marks } = useReader();
  const { report, seriesValues, seriesTimes = 3, attempts } = sheet;
  const values = seriesValues
    .split(/[;\s]+|,\s+/)
    .filter(Boolean)
    .flatMap((said) => {
      const parsed = parseNumber(said, marks);
      return parsed === undefined ? [] : [parsed];
    });
  const order = report.order ?? [];
  const [seen, see] = useState<number>();
  const next = order[attempts.length];
  const shuffle = () =>
    onChange({
      report: { ...report, order: shuffledOrder(values, seriesTimes, Date.now() % 2 ** 31) },
      attempts: [],
    });
  const number = (value: number) => formatNumber(value, reader.locale, 4);
  return (
    <section aria-label="Settings series">
      <div className={fieldsCss.textField}>
        <label htmlFor="series-name">What is set</label>
        <TextInput
          id="series-name"
          value={report.settingName ?? ''}
          maxLength={60}
          placeholder="e.g. rear toe"
          onChange={(event) =>
            onChange({
              report: { ...report, settingName: event.target.value === '' ? undefined : event.target.value },
            })
          }
        />
      </div>
      <div className={fieldsCss.textField}>
        <label htmlFor="series-values">Values</label>
        <TextInput
          id="series-values"
          value={seriesValues}
          maxLength={200}
          placeholder="e.g. 0 1 2"
          onChange={(event) => onChange({ seriesValues: event.target.value })}
        />
      </div>
      <Choice
        id="series-aid"
        label="In the simulator of an aid"
        value={report.settingAid?.of ?? ''}
        disabled={false}
        options={[
          ['', 'none of these'],
          ...SWEPT_SETTINGS.map((one) => [one, SWEPT_SETTING_WORDS[one]] as const),
        ]}
        onChange={(of) =>
          onChange({ report: { ...report, settingAid: of === '' ? undefined : { of: of as SweptSetting } } })
        }
      />
      {report.settingAid ? (
        <QuantityField
          label="One of the setting is there"
          quantity="coefficient"
          digits={4}
          limits={{ above: 0, to: 1_000_000 }}
          usual={1}
          value={report.settingAid.perUnit}
          onChange={(perUnit) =>
            onChange({
              report: {
                ...report,
                settingAid: { of: report.settingAid!.of, ...(perUnit === undefined ? {} : { perUnit }) },
              },
            })
          }
        />
      ) : null}
      <QuantityField
        label="Runs of each"
        quantity="count"
        limits={{ from: 1, to: 50 }}
        value={sheet.seriesTimes}
        onChange={(value) => onChange({ seriesTimes: value })}
      />
      <Row as="label" sx={{ flexWrap: 'nowrap' }}>
        <Tick
          checked={report.blind === true}
          onChange={(event) => onChange({ report: withBlind(report, event.target.checked) })}
        />{' '}
        Blind: a helper sets it, the driver does not know
      </Row>
      <Row sx={{ mt: 0.75 }}>
        <Button
          disabled={values.length < 2 || values.length * seriesTimes > MOST || !report.settingName}
          onClick={shuffle}
        >
          {order.length > 0 ? 'Shuffle anew' : 'Shuffle the order'}
        </Button>
        {order.length > 0 && isRevealed(sheet) ? (
          <Typography component="span" color="textSecondary">
            {order.map((value, at) => (
              <Typography
                key={at}
                component="span"
                variant={at === attempts.length ? 'strong' : 'inherit'}
                sx={dimmedWhen(at < attempts.length)}
              >
                {number(value)}{' '}
              </Typography>
            ))}
          </Typography>
        ) : null}
      </Row>
      {next === undefined ? (
        order.length > 0 ? (
          <Typography color="textSecondary">All {order.length} runs of the series are driven.</Typography>
        ) : null
      ) : (
        <Note tone="ask" data-testid="series-next">
          {report.blind && seen !== attempts.length ? (
            <>
              Hand the device to your helper.{' '}
              <Button onClick={() => see(attempts.length)}>
                Show the value of run {attempts.length + 1}
              </Button>
            </>
          ) : (
            <>
              Set {report.settingName} to <b>{number(next)}</b>, then drive run {attempts.length + 1} of{' '}
              {order.length}.{' '}
              {report.blind ? <Button onClick={() => see(undefined)}>Hide it from the driver</Button> : null}
            </>
          )}
        </Note>
      )}
    </section>
  );
}

function withBlind(report: RunReport, blind: boolean): RunReport {
  const { blind: _, ...rest } = report;
  return blind ? { ...rest, blind } : rest;
}
