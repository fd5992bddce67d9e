'use client';

import { Problem } from '@/ui/controls/Problem';
import { Page } from '@/ui/layout/Page';
import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import Box from '@mui/material/Box';
import { Select } from '@/ui/controls/Select';
import Button from '@mui/material/Button';
import { type ReactNode, useState } from 'react';
import { itemsOf } from '@/core/car/library/items';
import { type LibraryItem } from '@/core/car/library/kinds';
import { type ReadCoupon } from '@/core/car/library/kinds/coupon';
import { fitCoupon } from '@/core/physics/printing/coupon';
import { USUAL_COUPON } from '@/core/physics/printing/couponPiece';
import { drawnJoints, readingsOf } from '@/core/worked/print/joints';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { inSentence } from '@/core/base/units/words';
import { useReader } from '@/ui/reader';
import { callApi, newId, sentenceOf } from '../../api';
import { useBuild } from '../../session/BuildContext';
import { Group } from '../../fields/fields';
import { handOver } from '../../session/handOver';
import { workerOf } from '@/workers/clients';
import { Bench, Readings } from '../../frame/Guarded';
import { CouponSheet } from './CouponSheet';
import { DrawnSizes } from './DrawnSizes';
import { Joints } from './Joints';
import { deleteUndoably } from '../../session/deleting';
import { NewCoupon } from './NewCoupon';
import { sayAll } from '@/words/findings';

type Coupon = LibraryItem<'coupon'>;

/** What the workshop's printer makes of holes, pegs and gaps, and so what to draw for every joint. */
export function FitsSide({ tabs }: { tabs: ReactNode }) {
  const { document, library, keepItem, dropItem } = useBuild();
  const { reader } = useReader();
  const coupons = itemsOf(library, 'coupon');
  const [asked, choose] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const coupon =
    coupons.find(({ id }) => id === asked) ??
    coupons.find(({ data }) => document.print.printers?.some(({ name }) => name === data.printer)) ??
    coupons[0];
  const drawn = drawnJoints(document, library);
  const corrected = drawn.filter(({ coupon: used }) => used).length;
  const printers = [
    ...new Set(
      [...(document.print.printers ?? []), ...itemsOf(library, 'printer').map(({ data }) => data)].map(
        ({ name }) => name,
      ),
    ),
  ];
  const materials = [
    ...new Set([
      ...document.parts.items.flatMap(({ material }) => (material ? [material.name] : [])),
      ...itemsOf(library, 'material')
        .filter(({ data }) => data.interlayerStrengthMpa !== undefined)
        .map(({ data }) => data.name),
    ]),
  ];
  const save = async (item: Coupon) => {
    keepItem(item);
    setProblem(undefined);
    try {
      await callApi('PUT', '/api/library', item);
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  const begin = (printer: string, material: string) => {
    const fresh: Coupon = {
      id: `coupon-${newId().slice(0, 12)}`,
      kind: 'coupon',
      data: blankCoupon(printer, material),
    };
    void save(fresh);
    choose(fresh.id);
  };
  const remove = async (id: string) => {
    try {
      await deleteUndoably<LibraryItem>(
        `/api/library/${id}`,
        'Test piece deleted.',
        () => dropItem(id),
        keepItem,
      );
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  const piece = async (kind: 'stl' | 'svg') => {
    const made = await workerOf('print').coupon();
    handOver(
      `test-piece.${kind}`,
      kind === 'stl' ? 'model/stl' : 'image/svg+xml',
      kind === 'stl' ? new Uint8Array(made.stl) : made.svg,
    );
  };
  return (
    <Page>
      <Bench>
        <Group title="Test pieces" aside="one a printer and material">
          {coupons.length > 0 ? (
            <div className={fieldsCss.pick}>
              <Select
                look="strong"
                aria-label="Choose a test piece"
                value={coupon?.id ?? ''}
                onChange={(event) => choose(event.target.value)}
              >
                {coupons.map(({ id, data }) => (
                  <option key={id} value={id}>
                    {data.material}, {inSentence(data.printer)}
                  </option>
                ))}
              </Select>
            </div>
          ) : null}
          <NewCoupon printers={printers} materials={materials} onBegin={begin} />
        </Group>
        <Group title="The piece itself">
          <Typography variant="note" color="textSecondary">
            Print it flat, as your parts are printed. Sizes rise from the corner that is cut off.
          </Typography>
          <Row sx={{ mt: 0.75 }}>
            <Button onClick={() => void piece('stl')}>STL</Button>
            <Button onClick={() => void piece('svg')}>SVG with sizes</Button>
          </Row>
        </Group>
        <Joints />
      </Bench>
      <Readings>
        {tabs}
        <Typography variant="answer" data-testid="fits-answer">
          <Answer coupon={coupon?.data} joints={drawn.length} corrected={corrected} />
        </Typography>
        <Problem>{problem}</Problem>
        {drawn.length > 0 ? (
          <DrawnSizes drawn={drawn} document={document} />
        ) : (
          <Box component="p" sx={{ mt: 1, maxWidth: 640 }}>
            Add the joints of the car on the bench, screws, bearings, pins and captive joints, and each hole
            shows the size to draw here.
          </Box>
        )}
        {coupon ? (
          <>
            <CouponSheet
              key={coupon.id}
              coupon={coupon}
              onChange={(data) => void save({ ...coupon, data })}
            />
            <Typography variant="note" color="textSecondary" sx={{ mt: 0.75 }}>
              <LineWords
                coupon={coupon.data}
                locale={reader.locale}
                length={(value) => formatText(value, 'lengthMm', reader, 2)}
              />{' '}
              <Button variant="link" onClick={() => void remove(coupon.id)}>
                throw this sheet away
              </Button>
            </Typography>
          </>
        ) : null}
      </Readings>
    </Page>
  );
}

const blankCoupon = (printer: string, material: string): ReadCoupon => ({
  name: `${material}, ${printer}`.slice(0, 80),
  printer,
  material,
  samples: [
    ...USUAL_COUPON.holesMm.map((nominalMm) => ({
      id: `hole${nominalMm}`,
      kind: 'hole' as const,
      nominalMm,
    })),
    ...USUAL_COUPON.pegsMm.map((nominalMm) => ({ id: `peg${nominalMm}`, kind: 'peg' as const, nominalMm })),
  ],
  gaps: USUAL_COUPON.gapsMm.map((gapMm) => ({ id: `gap${gapMm}`, gapMm })),
});

function Answer({
  coupon,
  joints,
  corrected,
}: {
  coupon: ReadCoupon | undefined;
  joints: number;
  corrected: number;
}) {
  const { reader } = useReader();
  if (!coupon)
    return (
      <>Print the test piece once, read it with a caliper, and every hole here knows the size to draw.</>
    );
  const { samples, gaps } = readingsOf(coupon);
  if (samples.length === 0)
    return (
      <>Read the test piece of {inSentence(coupon.material)}: type what the caliper shows, Enter goes on.</>
    );
  const { lines, gaps: found } = fitCoupon({ samples, ...(gaps.length > 0 ? { gaps } : {}) });
  const middle = 5;
  const said = (['hole', 'peg'] as const).flatMap((kind) => {
    const line = lines[kind];
    return line ? [{ kind, off: line.offsetMm + (line.slope - 1) * middle }] : [];
  });
  return (
    <>
      In {inSentence(coupon.material)},{' '}
      {said.map(({ kind, off }, index) => (
        <span key={kind}>
          {index > 0 ? ' and ' : ''}a {kind} of 5&nbsp;mm comes out{' '}
          <b>
            {formatText(Math.abs(off), 'lengthMm', reader, 2)} {off < 0 ? 'small' : 'large'}
          </b>
        </span>
      ))}
      {found?.useMm === undefined ? (
        ''
      ) : (
        <>; a gap of {formatText(found.useMm, 'lengthMm', reader, 2)} still turns</>
      )}
      .
      {joints > 0 ? (
        <>
          {' '}
          {corrected} of {joints} joints {corrected === 1 ? 'is' : 'are'} drawn by such a piece.
        </>
      ) : null}
    </>
  );
}

/** The fitted lines with their errors, for whoever wants them. */
function LineWords({
  coupon,
  locale,
  length,
}: {
  coupon: ReadCoupon;
  locale: string;
  length(value: number): string;
}) {
  const { reader } = useReader();
  const { samples } = readingsOf(coupon);
  if (samples.length === 0) return null;
  const { lines, notes } = fitCoupon({ samples });
  return (
    <>
      {(['hole', 'peg'] as const)
        .flatMap((kind) => {
          const line = lines[kind];
          return line
            ? [
                `${kind === 'hole' ? 'Holes' : 'Pegs'}: measured = ${length(line.offsetMm)} + ${formatNumber(line.slope, locale, 4)} × drawn, from ${line.n}${line.residualMm === undefined ? '' : `, spread ${length(line.residualMm)}`}.`,
              ]
            : [];
        })
        .join(' ')}{' '}
      {sayAll(notes, reader)}
    </>
  );
}
