/** After the first visit the whole application works with no network. Not in development. */
if (import.meta.env.PROD && "serviceWorker" in navigator)
  void navigator.serviceWorker.register("/sw.js").catch(() => {});
