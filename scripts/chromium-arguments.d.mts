/** Arguments with which Chromium runs here. */
export function chromiumArguments(): string[];
