import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Upload } from 'lucide-react';
import { useNavigate } from 'react-router';
import { answer, api } from '../api/client';
import { setupsQuery } from '../api/queries';
import { FileButton } from '../ui/FileButton';
import { Notice } from '../ui/Notice';

/** Loads a setup from a file. What is wrong with a file is said with its place; nothing is stored then. */
export function LoadFile() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const load = useMutation({
    // The text goes to the server as it is: the server reads strictly, and names line and place of what is wrong.
    mutationFn: async (file: File) =>
      answer(
        api.POST('/api/setups', {
          body: (await file.text()) as never,
          bodySerializer: String,
          headers: { 'Content-Type': 'application/json' },
        }),
      ),
    onSuccess: (stored) => {
      void client.invalidateQueries({ queryKey: setupsQuery.queryKey });
      void navigate(`/craft/${stored.id}/model`);
    },
  });
  return (
    <div className="flex max-w-xl flex-col items-end gap-2">
      <FileButton
        label="Setup file"
        icon={Upload}
        accept=".json,application/json"
        disabled={load.isPending}
        onFile={(file) => load.mutate(file)}
      >
        {load.isPending ? 'Loading…' : 'Load a setup file'}
      </FileButton>
      {load.error && (
        <Notice title="The file is not loaded">
          <p>{load.error.message}</p>
        </Notice>
      )}
    </div>
  );
}
