import { View } from 'react-native';
import { unitsOf } from '@/core/job';
import { pagesInUnits, patchSheet, toDxf, toSvg, type Page, type PatchSheetInput } from '@/core/print';
import { download, fileName } from '@/instruments';
import { useShop } from '@/records';
import { Button } from '@/ui';
import { useAct } from '../shared/useAct';
import { usePdf } from '../shared/usePdf';

/** An outline at full size, to be pricked through or traced, as PDF with its check bar and as SVG. */
export function PrintOutline({ what, ...sheet }: Omit<PatchSheetInput, 'paper'> & { what: string }) {
  const { shop } = useShop();
  const act = useAct();
  const pdf = usePdf();
  const pages = (): Page[] => pagesInUnits(patchSheet({ ...sheet, paper: shop.paper }), unitsOf(shop));
  const name = `${fileName(sheet.title)}-${what.toLowerCase()}`;
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
      <Button
        label={`${what} at full size, PDF`}
        onPress={() => act(() => pdf(sheet.title, pages(), `${name}.pdf`))}
      />
      <Button
        label="As SVG"
        name={`${what} as SVG`}
        kind="quiet"
        onPress={() => {
          const all = pages();
          all.forEach((page, i) =>
            download(toSvg(page), `${name}${all.length > 1 ? `-${i + 1}` : ''}.svg`, 'image/svg+xml'),
          );
        }}
      />
      <Button
        label="As DXF"
        name={`${what} as DXF`}
        kind="quiet"
        onPress={() =>
          act(() =>
            download(
              toDxf([
                { name: what, outlines: [sheet.patch.outline] },
                { name: 'saw', outlines: [sheet.patch.recess] },
              ]),
              `${name}.dxf`,
              'application/dxf',
            ),
          )
        }
      />
    </View>
  );
}
