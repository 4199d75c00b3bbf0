import useSWR from 'swr';

/** Where the service worker keeps photos that another app shared. */
const SHARED = 'rustic-lantern-shared';

async function look(): Promise<File[]> {
  if (!('caches' in globalThis)) return [];
  const cache = await caches.open(SHARED);
  const kept = await Promise.all((await cache.keys()).map((request) => cache.match(request)));
  return Promise.all(
    kept.flatMap((response) =>
      response
        ? [
            response.blob().then(
              (b) =>
                new File([b], decodeURIComponent(response.headers.get('x-name') ?? 'photo.jpg'), {
                  type: b.type,
                }),
            ),
          ]
        : [],
    ),
  );
}

/** Photos that another app shared with this one and that nothing has taken up yet. */
export function useSharedPhotos(): { photos: File[]; loading: boolean; drop: () => Promise<void> } {
  const { data = [], isLoading, mutate } = useSWR<File[]>('shared-photos', look, { revalidateOnFocus: true });
  return {
    photos: data,
    loading: isLoading,
    async drop() {
      await caches.delete(SHARED);
      await mutate();
    },
  };
}
