import type { Catalog } from '../state/catalog';
import type { OrderRow } from '../store/shop-orders';
import { invoiceFor } from './invoice';

const MARGIN = 56;
/** Widths of the columns for pieces, each and total, in points; the words get what is left. */
const NUMBERS = [50, 80, 80] as const;

/** What the letters of the built-in font have not got is written with plainer ones. */
const plain = (text: string) => text.replace(/\u2212/g, '-').replace(/[\u00a0\u202f]/g, ' ');

/** The invoice as a PDF of A4 pages, to be sent as it is made. */
export async function invoicePdf(catalog: Catalog, order: OrderRow, day: string): Promise<PDFKit.PDFDocument> {
  // It reads its fonts as it comes, and is seldom wanted.
  const { default: PDFDocument } = await import('pdfkit');
  const invoice = invoiceFor(catalog, order, day);
  const pdf = new PDFDocument({ size: 'A4', margin: MARGIN, info: { Title: invoice.title } });
  const width = pdf.page.width - 2 * MARGIN;
  const wordsWidth = width - NUMBERS.reduce((sum, each) => sum + each, 0);
  const bottom = pdf.page.height - MARGIN;
  const row = (words: string, numbers: readonly string[], isBold = false) => {
    pdf.font(isBold ? 'Helvetica-Bold' : 'Helvetica').fontSize(10);
    const height = pdf.heightOfString(plain(words), { width: wordsWidth - 8 }) + 8;
    if (pdf.y + height > bottom) pdf.addPage();
    const { y } = pdf;
    pdf.text(plain(words), MARGIN, y, { width: wordsWidth - 8 });
    let x = MARGIN + wordsWidth;
    numbers.forEach((number, i) => {
      pdf.text(plain(number), x, y, { width: NUMBERS[i]!, align: 'right' });
      x += NUMBERS[i]!;
    });
    pdf
      .moveTo(MARGIN, y + height - 4)
      .lineTo(MARGIN + width, y + height - 4)
      .strokeColor('#dddddd')
      .stroke();
    pdf.y = y + height;
    pdf.x = MARGIN;
  };
  pdf
    .font('Helvetica')
    .fontSize(10)
    .text(plain(invoice.from.join('\n')));
  pdf.moveDown(2).text(plain(invoice.to.join('\n')));
  pdf.moveDown(2).font('Helvetica-Bold').fontSize(18).text(invoice.title);
  pdf.font('Helvetica').fontSize(10).text(plain(invoice.day)).moveDown(1.5);
  const { heads } = invoice;
  row(heads.words, [heads.quantity, heads.each, heads.total], true);
  for (const { words, quantity, each, total } of invoice.lines) row(words, [quantity, each, total]);
  for (const { words, amount, isTotal } of invoice.sums) row(words, ['', '', amount], isTotal);
  pdf.font('Helvetica').moveDown(1);
  for (const note of invoice.notes) pdf.text(plain(note));
  pdf.end();
  return pdf;
}
