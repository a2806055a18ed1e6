import { useState } from 'react';
import { withVendor } from '#core/qualities/edit-qualities';
import { LARGEST_RECORDING, tooLarge } from '#core/page-speed/recording-size';
import type { RecordingAnswer, RecordingQuestion } from '../../workers/read-recording';
import { newId } from '../workbench/new-id';
import { useEdits } from '../workbench/use-edits';
import type { NamedOffer } from './vendors';
import { useRecordings as words } from './words';

/** A file that could not be read, with why. */
export interface RefusedRecording {
  readonly file: string;
  readonly problem: string;
}

/** Takes in recordings of a vendor's page; they are read beside the interface, and only their figures are kept. */
export function useRecordings(): {
  take(vendor: NamedOffer, files: readonly File[]): void;
  reading: number;
  refused: readonly RefusedRecording[];
} {
  const edits = useEdits();
  const [reading, setReading] = useState(0);
  const [refused, setRefused] = useState<readonly RefusedRecording[]>([]);
  const read = async (vendor: NamedOffer, file: File) => {
    setReading((count) => count + 1);
    const answer = file.size > LARGEST_RECORDING ? { problem: tooLarge(file.size) } : await inWorker({ file, id: newId() });
    setReading((count) => count - 1);
    if ('problem' in answer) return setRefused((former) => [...former, { file: file.name, problem: answer.problem }]);
    const { measurement } = answer;
    edits.decision(`vendor.${vendor.id}.recording.${measurement.id}`, words.aRecordingOf(vendor.label), (one) =>
      withVendor(one, vendor.id, (notes) => ({ ...notes, measurements: [...(notes.measurements ?? []), measurement] })),
    );
  };
  return {
    take(vendor, files) {
      setRefused([]);
      for (const file of files) void read(vendor, file);
    },
    reading,
    refused,
  };
}

function inWorker(question: RecordingQuestion): Promise<RecordingAnswer> {
  const worker = new Worker(new URL('../../workers/read-recording.ts', import.meta.url), { type: 'module' });
  return new Promise<RecordingAnswer>((resolve) => {
    worker.addEventListener('message', ({ data }: MessageEvent<RecordingAnswer>) => resolve(data));
    worker.addEventListener('error', () => resolve({ problem: words.theFileCouldNotBeRead }));
    worker.postMessage(question);
  }).finally(() => worker.terminate());
}
