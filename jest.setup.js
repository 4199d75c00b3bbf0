// Node's own channel would keep Jest from ending; the app does without one where there is none.
delete globalThis.BroadcastChannel;
