import { View } from 'react-native';
import type { Polygon } from '@/core/geometry';
import { unitsOf } from '@/core/job';
import {
  jpegBytes,
  pagesInUnits,
  patchSheet,
  spotSheet,
  toDxf,
  toSvg,
  type Page,
  type PatchSheetInput,
} from '@/core/print';
import { download, fileName } from '@/instruments';
import { usePicture, useShop } from '@/records';
import { Button, Section } from '@/ui';
import { useAct } from '../shared/useAct';
import { usePdf } from '../shared/usePdf';

/** The patch at full size: as PDF for either side of the sheet, as SVG, as DXF. */
export function PatchPrint({
  sheet,
  name,
  damage,
  main,
  onSheet,
}: {
  sheet: Omit<PatchSheetInput, 'paper' | 'side' | 'damage'>;
  /** Of the damage, for the file. */
  name: string;
  damage: Polygon;
  main: boolean;
  /** The photo of the sheet, how much of it that shows, and the patch where it was placed on it. */
  onSheet?: { pictureId: string; name: string; wideMm: number; outline: Polygon; where: string };
}) {
  const { picture } = usePicture(onSheet?.pictureId);
  const { shop } = useShop();
  const act = useAct();
  const pdf = usePdf();
  const pagesFor = (side: 'show' | 'back'): Page[] =>
    pagesInUnits(patchSheet({ ...sheet, damage, side, paper: shop.paper }), unitsOf(shop));
  const file = fileName(`${name} patch`);
  return (
    <Section title="Print it at full size" help="Measure the 100 mm bar on the print before you cut.">
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <Button
          label="Print the patch (PDF)"
          kind={main ? 'main' : 'plain'}
          onPress={() => act(() => pdf(sheet.title, pagesFor('show'), `${file}.pdf`))}
        />
        <Button
          label="Mirrored, for the back"
          kind="quiet"
          onPress={() => act(() => pdf(`${sheet.title}, mirrored`, pagesFor('back'), `${file}-mirrored.pdf`))}
        />
        {onSheet && picture ? (
          <Button
            label="On the picture of the sheet"
            kind="quiet"
            onPress={() =>
              act(() =>
                pdf(
                  `${sheet.title}, on its sheet`,
                  pagesInUnits(
                    [
                      spotSheet({
                        title: `${sheet.title}, on ${onSheet.name}`,
                        jpeg: jpegBytes(picture.jpeg),
                        name: onSheet.name,
                        wideMm: onSheet.wideMm,
                        tallMm: (onSheet.wideMm * picture.heightPx) / picture.widthPx,
                        outline: onSheet.outline,
                        notes: [`${onSheet.where}.`],
                        paper: shop.paper,
                      }),
                    ],
                    unitsOf(shop),
                  ),
                  `${file}-on-its-sheet.pdf`,
                ),
              )
            }
          />
        ) : null}
        <Button
          label="Save as SVG"
          onPress={() =>
            act(() => {
              const pages = pagesFor('show');
              pages.forEach((page, i) =>
                download(
                  toSvg(page),
                  pages.length > 1 ? `${file}-${i + 1}.svg` : `${file}.svg`,
                  'image/svg+xml',
                ),
              );
            })
          }
        />
        <Button
          label="Save as DXF"
          kind="quiet"
          onPress={() =>
            act(() =>
              download(
                toDxf([
                  { name: 'patch', outlines: [sheet.patch.outline] },
                  { name: 'recess', outlines: [sheet.patch.recess] },
                  { name: 'damage', outlines: [damage] },
                ]),
                `${file}.dxf`,
                'application/dxf',
              ),
            )
          }
        />
      </View>
    </Section>
  );
}
