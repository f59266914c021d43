import type { FileRole } from '../core/model/product-file';
import type { DemoProduct } from './lark-and-line';
import { seeded, seedOf } from './random';

export interface DemoFile {
  role: FileRole;
  name: string;
  content: Buffer;
}

/** A small PDF of pages with a few lines each. */
function pdf(pages: readonly (readonly string[])[]): Buffer {
  const plain = (text: string) => text.replace(/[^\x20-\x7e]/g, '-').replace(/[\\()]/g, '\\$&');
  const objects = [
    '<< /Type /Catalog /Pages 2 0 R >>',
    `<< /Type /Pages /Count ${pages.length} /Kids [${pages.map((_, i) => `${4 + i * 2} 0 R`).join(' ')}] >>`,
    '<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>',
    ...pages.flatMap((lines, i) => {
      const text = `BT /F1 14 Tf 56 780 Td 20 TL ${lines.map((line) => `(${plain(line)}) Tj T*`).join(' ')} ET`;
      return [
        `<< /Type /Page /Parent 2 0 R /MediaBox [0 0 595 842] /Contents ${5 + i * 2} 0 R /Resources << /Font << /F1 3 0 R >> >> >>`,
        `<< /Length ${text.length} >>\nstream\n${text}\nendstream`,
      ];
    }),
  ];
  let body = '%PDF-1.4\n';
  const places = objects.map((object, i) => {
    const place = body.length;
    body += `${i + 1} 0 obj\n${object}\nendobj\n`;
    return String(place).padStart(10, '0');
  });
  const table = `xref\n0 ${objects.length + 1}\n0000000000 65535 f \n${places.map((place) => `${place} 00000 n \n`).join('')}`;
  const end = `trailer\n<< /Size ${objects.length + 1} /Root 1 0 R >>\nstartxref\n${body.length}\n%%EOF\n`;
  return Buffer.from(body + table + end, 'latin1');
}

/** Some seconds of something like wind: noise that swells and fades. 8 bit, 8 kHz. */
function wav(title: string, seconds: number): Buffer {
  const rate = 8_000;
  const random = seeded(seedOf(title));
  const samples = Buffer.alloc(rate * seconds);
  let last = 0;
  for (let i = 0; i < samples.length; i++) {
    last += (random() * 2 - 1 - last) * 0.08;
    const swell = 0.5 + 0.5 * Math.sin((i / rate) * 1.7);
    samples[i] = 128 + Math.round(last * swell * 120);
  }
  const head = Buffer.alloc(44);
  head.write('RIFF', 0);
  head.writeUInt32LE(36 + samples.length, 4);
  head.write('WAVEfmt ', 8);
  head.writeUInt32LE(16, 16);
  head.writeUInt16LE(1, 20);
  head.writeUInt16LE(1, 22);
  head.writeUInt32LE(rate, 24);
  head.writeUInt32LE(rate, 28);
  head.writeUInt16LE(1, 32);
  head.writeUInt16LE(8, 34);
  head.write('data', 36);
  head.writeUInt32LE(samples.length, 40);
  return Buffer.concat([head, samples]);
}

const fileName = (title: string) =>
  title
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');

/** Downloads and samples of digital goods, and a first page for first kites. */
export function filesOf({ title, kind, tags, summary }: DemoProduct): DemoFile[] {
  const name = fileName(title.replace(/^(Build plan|Sounds): /, ''));
  if (kind === 'digital' && title.startsWith('Sounds'))
    return [
      { role: 'download', name: `${name}.wav`, content: wav(title, 12) },
      { role: 'sample', name: `${name}-three-seconds.wav`, content: wav(title, 3) },
    ];
  if (kind === 'digital') {
    const first = [title, summary, '', 'Lark & Line'];
    const steps = ['Cut the sail', 'Sew the pockets', 'Set the spars', 'Tie the bridle', 'Try it on a field'];
    return [
      {
        role: 'download',
        name: `${name}.pdf`,
        content: pdf([first, ...steps.map((step, i) => [`${i + 1}. ${step}`, 'Measures in millimetres.'])]),
      },
      { role: 'sample', name: `${name}-first-page.pdf`, content: pdf([first]) },
    ];
  }
  if (tags.includes('first kite') && kind === undefined)
    return [
      {
        role: 'manual',
        name: 'how-to-start.pdf',
        content: pdf([
          ['How to start', 'Back to the wind.', 'Somebody holds the kite, you hold the line.', 'One step back.'],
        ]),
      },
    ];
  return [];
}
