// Node's own channel would keep Jest from ending; the app does without one where there is none.
delete globalThis.BroadcastChannel;
// No browser: what is asked for by name is then found missing, as in an old one.
globalThis.navigator ??= {};
