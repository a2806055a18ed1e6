import * as z from 'zod';
import type { Measurement } from '#core/decision/measurement-schema';
import { readRecording, UnreadableRecording } from '#core/page-speed/read-recording';

// The content security policy allows no code made at run time, which Zod would otherwise try.
z.config({ jitless: true });

export interface RecordingQuestion {
  readonly file: File;
  readonly id: string;
}

export type RecordingAnswer = { readonly measurement: Measurement } | { readonly problem: string };

self.addEventListener('message', ({ data: { file, id } }: MessageEvent<RecordingQuestion>) => {
  void answer(file, id).then((found) => self.postMessage(found));
});

async function answer(file: File, id: string): Promise<RecordingAnswer> {
  try {
    return { measurement: readRecording(await file.text(), file.name, id) };
  } catch (error) {
    return { problem: error instanceof UnreadableRecording ? error.message : 'The file could not be read.' };
  }
}
