import pdfmake from 'pdfmake';
import roboto from 'pdfmake/fonts/Roboto.js';
import type { TDocumentDefinitions } from 'pdfmake/interfaces';

let ready = false;

/** The bytes of a PDF; nothing is read from the network, and of the disk its fonts alone. */
export async function printPdf(definition: TDocumentDefinitions): Promise<Buffer> {
  if (!ready) {
    const own = new Set(Object.values(roboto.Roboto));
    pdfmake.setFonts(roboto);
    pdfmake.setUrlAccessPolicy(() => false);
    pdfmake.setLocalAccessPolicy((path: string) => own.has(path));
    ready = true;
  }
  return pdfmake.createPdf(definition).getBuffer();
}
