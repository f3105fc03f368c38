import { configure } from '@testing-library/react-native';

// What a test waits for comes when it comes, on a busy machine too; only what hangs is ended.
configure({ asyncUtilTimeout: 50_000 });
