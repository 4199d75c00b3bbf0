// Part of the service worker: keeps photos that another app shared until the page "/shared" takes them up.
const SHARED = 'rustic-lantern-shared';
const MOST_SHARED = 20;

async function keepShared(request) {
  const form = await request.formData();
  const photos = form.getAll('photos').filter((f) => f instanceof File && f.size > 0);
  const cache = await caches.open(SHARED);
  await Promise.all(
    photos
      .slice(0, MOST_SHARED)
      .map((f) =>
        cache.put(
          `/shared/${crypto.randomUUID()}`,
          new Response(f, { headers: { 'content-type': f.type, 'x-name': encodeURIComponent(f.name) } }),
        ),
      ),
  );
  return Response.redirect('/shared', 303);
}

self.addEventListener('fetch', (event) => {
  const { pathname } = new URL(event.request.url);
  if (event.request.method === 'POST' && pathname === '/shared') event.respondWith(keepShared(event.request));
});
