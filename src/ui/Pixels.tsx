import { useEffect, useRef } from 'react';

type Picture = { data: Uint8ClampedArray; width: number; height: number };

/** A picture drawn point by point, for what changes while a finger moves. As wide as there is room, at most `most` pixels. */
export function Pixels({
  picture,
  label,
  most,
}: {
  picture: Picture | undefined;
  label: string;
  most: number;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const pen = canvas.current?.getContext('2d');
    if (!pen || !picture) return;
    const { data, width, height } = picture;
    const image = pen.createImageData(width, height);
    image.data.set(data);
    pen.putImageData(image, 0, 0);
  }, [picture]);
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={label}
      width={picture?.width ?? 1}
      height={picture?.height ?? 1}
      style={{ width: '100%', maxWidth: most, borderRadius: 2 }}
    />
  );
}
