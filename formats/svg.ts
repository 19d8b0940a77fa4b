import { penOf, type Drawing, type Mark } from '../core/drawing/index.js';
import { pathData, svgFigure as number } from './write-path.js';

/** What XML has no place for: control characters, halves of letters, codes that stand for nothing. */
const NO_XML = /(?![\t\n\r])[\p{Cc}\p{Cs}\ufffe\uffff]/gu;

const escape = (text: string): string =>
  text.replace(NO_XML, '').replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');

function markSvg(mark: Mark): string {
  if (mark.kind === 'text') {
    const weight = mark.bold ? ' font-weight="600"' : '';
    const turned = mark.turn === 0 ? '' : ` transform="rotate(${mark.turn} ${number(mark.at.x)} ${number(mark.at.y)})"`;
    return `<text x="${number(mark.at.x)}" y="${number(mark.at.y)}" font-size="${mark.size}"${weight}${turned}>${escape(mark.text)}</text>`;
  }
  const style = penOf(mark);
  const dash = style.dash.length > 0 ? ` stroke-dasharray="${style.dash.join(' ')}"` : '';
  return `<path data-name="${escape(mark.name)}" d="${pathData(mark.path)}" stroke-width="${style.weight}"${dash}/>`;
}

/** A drawing as an SVG file in true millimetres: one user unit is one millimetre; every line bears its name. */
export function toSvg(drawing: Drawing, title: string): string {
  const [w, h] = [number(drawing.width), number(drawing.height)];
  const lines = drawing.marks.filter((m) => m.kind === 'line').map(markSvg);
  const texts = drawing.marks.filter((m) => m.kind === 'text').map(markSvg);
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="0 0 ${w} ${h}">`,
    `<title>${escape(title)}</title>`,
    '<g id="lines" fill="none" stroke="#000" stroke-linejoin="round">',
    ...lines,
    '</g>',
    '<g id="texts" fill="#000" font-family="sans-serif">',
    ...texts,
    '</g>',
    '</svg>',
    '',
  ].join('\n');
}
