// Part of the service worker: a touch on a notification leads to its brew.
self.addEventListener("notificationclick", (event) => {
  event.notification.close();
  const url = event.notification.data?.url ?? "/";
  event.waitUntil(
    self.clients.matchAll({ type: "window", includeUncontrolled: true }).then((pages) => {
      const page = pages.find((p) => new URL(p.url).pathname === url) ?? pages[0];
      if (!page) return self.clients.openWindow(url);
      return page.focus().then((p) => (new URL(p.url).pathname === url ? p : p.navigate(url)));
    }),
  );
});
