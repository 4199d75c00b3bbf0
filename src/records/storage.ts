import { createAsyncStorage } from '@react-native-async-storage/async-storage';

/** The browser's store of this app: records under `kind/id`, and what the first page shows under `front`. */
export const storage = createAsyncStorage('rustic-lantern');
