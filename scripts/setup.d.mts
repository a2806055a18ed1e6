/** Path of a Chromium for the browser tests; without one says what to do and ends. */
export function chromiumForTests(): string;
