import { View } from 'react-native';
import Svg, { Image as SvgImage, Rect } from 'react-native-svg';
import type { FrontPicture } from '@/core/front';
import { materials, Relief } from '@/ui';

const SIDE_PX = 64;
/** Lines of the relief are so many times finer than on the large board. */
const MARK_SCALE = 2.5;

/** The worst face of a piece in small, its damages in relief. */
export function FaceThumb({ picture }: { picture: FrontPicture | undefined }) {
  const { widthMm, heightMm, jpeg, marks } = picture ?? { widthMm: 1, heightMm: 1, marks: [] };
  const k = SIDE_PX / Math.max(widthMm, heightMm);
  return (
    <View
      style={{ width: SIDE_PX, height: SIDE_PX, alignItems: 'center', justifyContent: 'center' }}
      aria-hidden
    >
      <Svg width={widthMm * k} height={heightMm * k} viewBox={`0 0 ${widthMm} ${heightMm}`}>
        <Rect width={widthMm} height={heightMm} fill={materials.veneer} opacity={picture ? 1 : 0.35} />
        {jpeg ? (
          <SvgImage
            width={widthMm}
            height={heightMm}
            href={`data:image/jpeg;base64,${jpeg}`}
            preserveAspectRatio="none"
          />
        ) : null}
        {marks.map((m) => (
          <Relief key={m.number} outline={m.outline} kind={m.relief} pixelsPerUnit={MARK_SCALE * k} />
        ))}
      </Svg>
    </View>
  );
}
