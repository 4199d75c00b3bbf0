import { useWindowDimensions } from 'react-native';
import type { Stored } from '@/records';
import { Canvas, type CanvasProps } from '@/ui';
import { useWide } from '../shared/Page';
import { usePictureUrl } from '../shared/useWorkshop';
import { frameOf } from '@/core/job';

type Props = Pick<CanvasProps, 'label' | 'handles' | 'onMove' | 'onMoveEnd' | 'catchOn' | 'children'> & {
  face: Stored<'face'>;
  phoneHeight?: number;
};

/** A face's photo as it was taken. All places are in pixels of the photo. */
export function RawPhoto({ face, phoneHeight = 300, ...canvas }: Props) {
  const url = usePictureUrl(face.body.picture?.id);
  const { widthPx, heightPx } = frameOf(face.body);
  const wide = useWide();
  const { width, height } = useWindowDimensions();
  const needed = ((width - 40) * heightPx) / widthPx + 100;
  return (
    <Canvas
      {...canvas}
      content={{ width: widthPx, height: heightPx }}
      heightPx={wide ? height : Math.min(phoneHeight, needed)}
      {...(url ? { imageUrl: url } : {})}
    />
  );
}
