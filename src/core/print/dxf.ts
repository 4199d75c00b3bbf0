import type { Polygon } from '../geometry';

/** Outlines by layer, in mm, y downwards as everywhere here. A line that is open is not closed. */
export type DxfLayer = { name: string; outlines: readonly Polygon[]; open?: boolean };

/** Layer names of R12: capitals, digits, hyphens and underscores. */
const layerName = (name: string): string => name.toUpperCase().replace(/[^A-Z0-9_-]/g, '_').slice(0, 31); // prettier-ignore

/**
 * Outlines as DXF in its R12 form, millimetres, y upwards as drawing programs and cutters have it.
 *
 * @source AutoCAD DXF Reference, Release 12 (AC1009): POLYLINE, VERTEX, SEQEND; from memory
 */
export function toDxf(layers: readonly DxfLayer[]): string {
  const pairs: (string | number)[] = ['0', 'SECTION', '2', 'HEADER', '9', '$ACADVER', '1', 'AC1009', '9', '$INSUNITS', '70', 4, '0', 'ENDSEC', '0', 'SECTION', '2', 'ENTITIES']; // prettier-ignore
  for (const { name, outlines, open } of layers)
    for (const outline of outlines) {
      const layer = layerName(name);
      pairs.push('0', 'POLYLINE', '8', layer, '66', 1, '70', open ? 0 : 1, '10', 0, '20', 0, '30', 0);
      for (const [x, y] of outline)
        pairs.push('0', 'VERTEX', '8', layer, '10', x.toFixed(6), '20', (y === 0 ? 0 : -y).toFixed(6), '30', 0); // prettier-ignore
      pairs.push('0', 'SEQEND', '8', layer);
    }
  pairs.push('0', 'ENDSEC', '0', 'EOF');
  return `${pairs.join('\r\n')}\r\n`;
}
