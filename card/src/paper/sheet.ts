import PDFDocument from 'pdfkit';
import QRCode from 'qrcode';
import { formatDuration, runningTotalsG, staircase, type BrewPlan } from '@vendu/core';
import { FONT_FILES, type FontName } from './fonts.js';

const MM = 72 / 25.4;
/** Millimetres in points. */
export const mm = (millimetres: number) => millimetres * MM;

/** The hues of the screen, which hold on white. */
export const HUE = {
  ink: '#13211f',
  quiet: '#4e605d',
  rule: '#d3dcd9',
  water: '#2457c5',
  strength: '#a8331f',
  yield: '#41701e',
  temperature: '#a34c05',
  time: '#35454f',
  alarm: '#a80f4a',
} as const;
type Hue = keyof typeof HUE;

interface TextLook {
  font?: FontName;
  /** Points. */
  size?: number;
  hue?: Hue;
  width?: number;
  align?: 'left' | 'right' | 'center';
}

const LINE_GAP = 1.5;

/** A page of paper: points from its top left corner, type and hues of the house. */
export class Sheet {
  readonly doc: PDFKit.PDFDocument;
  /** Where the next line goes. */
  y: number;

  constructor({
    size,
    margin,
    title,
    writtenAt,
  }: {
    /** Width and height, points. */
    size: [number, number];
    margin: number;
    title: string;
    writtenAt: Date;
  }) {
    this.doc = new PDFDocument({
      size,
      margin,
      info: { Title: title, Creator: 'Vendu', CreationDate: writtenAt },
      lang: 'en',
      displayTitle: true,
      bufferPages: true,
    });
    for (const [name, path] of Object.entries(FONT_FILES)) this.doc.registerFont(name, path);
    this.y = this.top;
  }

  get left(): number {
    return this.doc.page.margins.left;
  }
  get top(): number {
    return this.doc.page.margins.top;
  }
  get width(): number {
    return this.doc.page.width - 2 * this.left;
  }
  get bottom(): number {
    return this.doc.page.height - this.doc.page.margins.bottom;
  }

  get pageCount(): number {
    return this.doc.bufferedPageRange().count;
  }

  heightOf(words: string, look: TextLook = {}): number {
    this.look(look);
    return this.doc.heightOfString(words, { width: look.width ?? this.width, lineGap: LINE_GAP });
  }

  /** At a place of its own; the next line stays where it was. @returns where it ends */
  put(words: string, x: number, y: number, look: TextLook = {}): number {
    const { width = this.width - (x - this.left), align = 'left' } = look;
    this.look(look);
    this.doc.text(words, x, y, { width, align, lineGap: LINE_GAP });
    return this.doc.y;
  }

  /** Under what is there. */
  line(words: string, look: TextLook = {}): void {
    if (words === '') return;
    this.y = this.put(words, this.left, this.y, look);
  }

  /** A heading on its rule. */
  heading(words: string, size = 9): void {
    this.y += size * 0.6;
    this.line(words, { font: 'bold', size });
    this.rule('ink');
    this.y += 3;
  }

  rule(hue: Hue = 'rule'): void {
    this.doc
      .moveTo(this.left, this.y)
      .lineTo(this.left + this.width, this.y)
      .lineWidth(0.5)
      .strokeColor(HUE[hue])
      .stroke();
    this.y += 2;
  }

  /** @returns how many pages there are then */
  newPage(): number {
    this.doc.addPage();
    this.y = this.top;
    return this.pageCount;
  }

  /** A new page where less than this is left. */
  need(height: number): void {
    if (this.y + height > this.bottom) this.newPage();
  }

  /** Water against time, as on the screen: what tells two recipes apart at a glance. */
  staircase(plan: BrewPlan, box: { x: number; y: number; width: number; height: number }): void {
    const points = staircase({ pours: plan.pours, endS: plan.drawdownS });
    const totals = runningTotalsG(plan);
    const topG = totals.at(-1) ?? 1;
    const [labels, footer] = [10, 11];
    const x = (atS: number) => box.x + (atS / plan.drawdownS) * box.width;
    const floor = box.y + box.height - footer;
    const y = (totalG: number) => floor - (totalG / topG) * (box.height - footer - labels);
    const { doc } = this;
    const trace = () => {
      doc.moveTo(x(0), y(0));
      for (const { atS, totalG } of points) doc.lineTo(x(atS), y(totalG));
    };
    trace();
    doc
      .lineTo(x(plan.drawdownS), floor)
      .closePath()
      .fillColor(HUE.water)
      .fillOpacity(0.08)
      .fill()
      .fillOpacity(1);
    trace();
    doc.lineWidth(1.4).lineJoin('round').strokeColor(HUE.water).stroke();
    doc
      .moveTo(box.x, floor)
      .lineTo(box.x + box.width, floor)
      .lineWidth(0.5)
      .strokeColor(HUE.time)
      .stroke();
    for (const [index, { startS }] of plan.pours.entries()) {
      this.put(formatDuration(startS), Math.max(box.x, x(startS) - 12), floor + 3, {
        font: 'readings',
        size: 6.5,
        hue: 'time',
        width: 24,
        align: startS === 0 ? 'left' : 'center',
      });
      const end = points.find(({ totalG }) => totalG >= (totals[index] ?? 0));
      if (end) {
        this.put(`${totals[index]} g`, Math.min(x(end.atS) + 1, box.x + box.width - 30), y(end.totalG) - 9, {
          font: 'strong',
          size: 6.5,
          hue: 'water',
          width: 30,
        });
      }
    }
    this.put(formatDuration(plan.drawdownS), box.x + box.width - 24, floor + 3, {
      font: 'readings',
      size: 6.5,
      hue: 'time',
      width: 24,
      align: 'right',
    });
  }

  /** A code of squares, drawn and not pictured: sharp at any size. */
  code(address: string, box: { x: number; y: number; side: number }): void {
    const { modules } = QRCode.create(address, { errorCorrectionLevel: 'M' });
    const step = box.side / modules.size;
    this.doc.fillColor('#000000');
    for (let row = 0; row < modules.size; row++) {
      for (let column = 0; column < modules.size; column++) {
        if (modules.get(row, column)) {
          // A hair wider than a step: printers leave seams otherwise.
          this.doc.rect(box.x + column * step, box.y + row * step, step + 0.05, step + 0.05);
        }
      }
    }
    this.doc.fill();
  }

  /** The file. */
  done(): Promise<Buffer> {
    return new Promise((resolve, reject) => {
      const chunks: Buffer[] = [];
      this.doc.on('data', (chunk: Buffer) => chunks.push(chunk));
      this.doc.on('end', () => resolve(Buffer.concat(chunks)));
      this.doc.on('error', reject);
      this.doc.end();
    });
  }

  private look({ font = 'words', size = 8, hue = 'ink' }: TextLook): void {
    this.doc.font(font).fontSize(size).fillColor(HUE[hue]);
  }
}
