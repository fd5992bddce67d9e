import Box from '@mui/material/Box';
import fieldsCss from '@/ui/fields.module.css';
import { Row } from '@/ui/layout/Row';
import { IconAct } from '@/ui/controls/IconAct';
import { Fold } from '@/ui/controls/Fold';
import { type ChosenPrinter, USUAL_DRAFT, USUAL_FINAL } from '@/core/car/document/print';
import { itemsOf } from '@/core/car/library/items';
import type { PrintHow } from '@/core/car/records/prints';
import { useReader } from '@/ui/reader';
import { newId } from '../api';
import { libraryOptions } from '../fields/libraryOptions';
import { AddFrom } from '../fields/AddFrom';
import { useBuild } from '../session/BuildContext';
import { DocumentField, Group } from '../fields/fields';
import { Fields } from '../frame/Guarded';

/** What a printer is taken to be until its own figures are known. */
const PLAIN: Omit<ChosenPrinter, 'id'> = {
  name: 'Printer',
  bedWidthMm: 220,
  bedDepthMm: 220,
  bedHeightMm: 250,
  speedMmps: 80,
  maxFlowMm3ps: 11,
};

/** The printers of the build with their beds, and how a draft and a final print are made. */
export function PrinterBench({ how }: { how: PrintHow }) {
  const { document, library, edit, closed } = useBuild();
  const { reader } = useReader();
  const printers = document.print.printers ?? [];
  const stock = itemsOf(library, 'printer');
  const add = (libraryId: string) => {
    const item = stock.find(({ id }) => id === libraryId);
    edit([
      {
        path: ['print', 'printers'],
        value: [
          ...printers,
          { id: `printer-${newId().slice(0, 8)}`, ...(item ? { libraryId, ...item.data } : PLAIN) },
        ],
      },
    ]);
  };
  const usual = how === 'draft' ? USUAL_DRAFT : USUAL_FINAL;
  return (
    <Fields>
      <Group title="Printers" aside={printers.length > 1 ? `${printers.length} beds` : undefined}>
        {printers.map((printer) => (
          <section key={printer.id} aria-label={printer.name} className={fieldsCss.supplyitem}>
            <Row sx={{ flexWrap: 'nowrap' }}>
              <Box component="b" sx={{ flex: 1 }}>
                {printer.name}
              </Box>
              <IconAct
                icon="takeOut"
                label={`Take ${printer.name} out`}
                disabled={closed}
                onClick={() =>
                  edit([
                    { path: ['print', 'printers'], value: printers.filter(({ id }) => id !== printer.id) },
                  ])
                }
              />
            </Row>
            <Fold
              title={
                <>
                  its bed, {printer.bedWidthMm} × {printer.bedDepthMm} mm, and speed
                </>
              }
            >
              {(['bedWidthMm', 'bedDepthMm', 'bedHeightMm', 'speedMmps', 'maxFlowMm3ps'] as const).map(
                (key) => (
                  <DocumentField key={key} path={['print', 'printers', printer.id, key]} />
                ),
              )}
            </Fold>
          </section>
        ))}
        {closed ? null : (
          <AddFrom
            label="Add a printer"
            path="print.printers"
            options={
              stock.length > 0 ? libraryOptions(stock, reader) : [{ id: 'plain', name: 'one of 220 mm' }]
            }
            onAdd={add}
          />
        )}
      </Group>
      <Group
        title={how === 'draft' ? 'A draft print' : 'A final print'}
        aside={how === 'draft' ? 'to hold against the car' : 'perimeters and infill are each part’s own'}
      >
        <DocumentField path={['print', how, 'layerMm']} usual={usual.layerMm} />
        <DocumentField path={['print', how, 'topBottomLayers']} usual={usual.topBottomLayers} />
        <DocumentField
          path={['print', how, 'perimeters']}
          label={how === 'draft' ? 'Perimeters' : 'Perimeters, where a part has none'}
          usual={usual.perimeters}
        />
        <DocumentField
          path={['print', how, 'infill']}
          label={how === 'draft' ? 'Infill' : 'Infill, where a part has none'}
          usual={usual.infill}
        />
        <DocumentField path={['print', 'spacingMm']} usual={5} />
      </Group>
    </Fields>
  );
}
