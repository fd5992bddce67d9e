'use client';

import { Problem } from '@/ui/controls/Problem';
import { Page } from '@/ui/layout/Page';
import clsx from 'clsx';
import figuresCss from '@/ui/Figure.module.css';
import { Row } from '@/ui/layout/Row';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { FileButton } from '@/ui/controls/FileButton';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { TextInput } from '@/ui/controls/TextInput';
import Button from '@mui/material/Button';
import { type ReactNode, useMemo, useState } from 'react';
import { CalcError } from '@/core/base/errors';
import type { ListEntry } from '@/core/car/document/print';
import { copiesAsDrawn } from '@/core/worked/print/log';
import { printerTimesOfBuild } from '@/core/worked/print/printerTimes';
import { makeFromCsv, makeToCsv } from '@/core/worked/print/makeCsv';
import { type MakeLine, makeList, totalsOf } from '@/core/worked/print/makeList';
import { quantityOf } from '@/core/worked/print/sources';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { newId } from '../api';
import { useBuild } from '../session/BuildContext';
import { DocumentChoice, DocumentField, Group } from '../fields/fields';
import { handOver } from '../session/handOver';
import { SegmentChecks } from '../frame/SegmentChecks';
import { useMeasured } from '../session/useMeasured';
import { Bench, Readings } from '../frame/Guarded';
import { SparesToCarry } from './SparesToCarry';
import { MakeGrid } from './MakeGrid';
import { MakeTable } from './MakeTable';
import { refusalText } from '@/words/refusals/problemOf';

const CURRENCIES = [
  'EUR',
  'USD',
  'GBP',
  'CHF',
  'SEK',
  'NOK',
  'DKK',
  'PLN',
  'CZK',
  'CAD',
  'AUD',
  'NZD',
  'JPY',
].map((code) => [code, code] as const);

/** Every part and component with where it comes from and what it costs, against the budget. */
export function MakeSide({ tabs }: { tabs: ReactNode }) {
  const {
    build,
    revision,
    revisions,
    edit,
    closed,
    copies,
    prints,
    finishedPrints,
    document: kept,
  } = useBuild();
  const { document } = useMeasured();
  const { reader } = useReader();
  const [problem, setProblem] = useState<string>();
  const [name, setName] = useState('');
  const [looking, setLooking] = useState(false);
  const spare = (partId: string) => {
    const part = document.parts.items.find(({ id }) => id === partId);
    return part ? Math.max(0, copiesAsDrawn(copies, part, revisions).length - quantityOf(document, part)) : 0;
  };
  const times = useMemo(() => printerTimesOfBuild(prints, finishedPrints), [prints, finishedPrints]);
  const lines = makeList(document, times, spare);
  const totals = totalsOf(lines);
  const { budget } = document.brief;
  const set = (line: MakeLine, change: Partial<ListEntry>) => {
    const entry = Object.fromEntries(
      Object.entries({ ...line.said, id: line.id, ...change }).filter(([, value]) => value !== undefined),
    ) as unknown as ListEntry;
    edit(
      [
        {
          path: ['print', 'list'],
          value: [...(kept.print.list ?? []).filter(({ id }) => id !== line.id), entry],
        },
      ],
      `list ${line.id}`,
    );
  };
  const read = async (file: File | undefined) => {
    if (!file) return;
    setProblem(undefined);
    try {
      const entries = makeFromCsv(await file.text(), lines, () => newId().slice(0, 12));
      const named = new Set(entries.map(({ id }) => id));
      edit([
        {
          path: ['print', 'list'],
          value: [
            ...(kept.print.list ?? []).filter(({ id }) => !named.has(id)),
            ...entries.filter((entry) => Object.keys(entry).length > 1),
          ],
        },
      ]);
    } catch (error) {
      if (!(error instanceof CalcError)) throw error;
      setProblem(
        `${file.name}${error.path ? `, ${error.path}` : ''}: ${refusalText(error.refused, reader)}. Nothing was changed.`,
      );
    }
  };
  const money = (value: number) => formatText(value, 'price', reader);
  return (
    <Page>
      <Bench>
        <Group title="Money">
          <DocumentField path={['brief', 'budget']} example={250} />
          <DocumentChoice path={['brief', 'currency']} options={CURRENCIES} empty="EUR" />
        </Group>
        {closed ? null : (
          <Group title="A thing of its own" aside="glue, paint, a switch">
            <Row
              as="form"
              sx={{ flexWrap: 'nowrap' }}
              onSubmit={(event) => {
                event.preventDefault();
                if (name.trim() === '') return;
                edit([
                  {
                    path: ['print', 'list'],
                    value: [
                      ...(kept.print.list ?? []),
                      { id: `own.${newId().slice(0, 12)}`, name: name.trim() },
                    ],
                  },
                ]);
                setName('');
              }}
            >
              <TextInput
                boxed
                sx={{ minWidth: 0, flex: 1 }}
                aria-label="Name of the thing"
                value={name}
                maxLength={80}
                onChange={(event) => setName(event.target.value)}
              />
              <Button type="submit" disabled={name.trim() === ''} aria-label="Add the thing">
                Add
              </Button>
            </Row>
          </Group>
        )}
        <Group title="As a table">
          <Row>
            <Button
              onClick={() =>
                handOver(
                  `${build.name}-${revision.letter}-list.csv`.toLowerCase().replace(/[^a-z0-9.]+/g, '-'),
                  'text/csv',
                  makeToCsv(lines),
                )
              }
            >
              CSV
            </Button>
            {closed ? null : (
              <FileButton
                label="CSV of the list"
                accept=".csv,text/csv"
                onFiles={([file]) => void read(file)}
              >
                Bring a CSV in
              </FileButton>
            )}
          </Row>
          <Problem>{problem}</Problem>
        </Group>
        <SparesToCarry lines={lines} />
      </Bench>
      <Readings>
        {tabs}
        <Typography variant="answer" data-testid="make-answer">
          {lines.length === 0 ? (
            'Nothing is in this build yet: choose a motor and a pack, add parts, and they are listed here.'
          ) : (
            <>
              {lines.length} lines come to{' '}
              <Box component="b" sx={{ whiteSpace: 'nowrap' }}>
                {money(totals.price)}
              </Box>
              {budget === undefined ? (
                ''
              ) : totals.price > budget ? (
                <>
                  ,{' '}
                  <span className={clsx(figuresCss.figure, figuresCss.over)}>
                    {money(totals.price - budget)} over
                  </span>{' '}
                  the budget
                </>
              ) : (
                <>, {money(budget - totals.price)} under the budget</>
              )}
              {totals.unpriced > 0 ? (
                <>
                  ; {totals.unpriced} {totals.unpriced === 1 ? 'has' : 'have'} no price yet
                </>
              ) : (
                ''
              )}
              {totals.leadDays > 0 ? (
                <>. The slowest is {formatText(totals.leadDays, 'days', reader)} away</>
              ) : (
                ''
              )}
              .
            </>
          )}
        </Typography>
        {lines.length > 0 ? (
          <Row sx={{ mt: 1.25, justifyContent: 'flex-end' }}>
            <Toggles label="List as">
              <Toggle size="small" pressed={!looking} onPress={() => setLooking(false)}>
                To fill in
              </Toggle>
              <Toggle size="small" pressed={looking} onPress={() => setLooking(true)}>
                To look through
              </Toggle>
            </Toggles>
          </Row>
        ) : null}
        {lines.length === 0 ? null : looking ? (
          <MakeGrid lines={lines} />
        ) : (
          <MakeTable
            lines={lines}
            closed={closed}
            onSet={set}
            onDrop={(line) =>
              edit([
                {
                  path: ['print', 'list'],
                  value: (kept.print.list ?? []).filter(({ id }) => id !== line.id),
                },
              ])
            }
          />
        )}
        <SegmentChecks segment="brief" only={['brief.cost']} />
      </Readings>
    </Page>
  );
}
