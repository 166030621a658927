import { createAsyncStorage } from '@react-native-async-storage/async-storage';

/** The browser's own database, by the storage library's current form; its default export is the old one over localStorage. */
export const storage = createAsyncStorage('hoppla');
