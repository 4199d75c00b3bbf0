// Changes that the tests do not notice because they mean the same, each read and with its reason.
export const EQUAL: readonly { file: string; line: string; from: string; to: string; why: string }[] = [];
