import { Paper, Text } from '@mantine/core';
import type { ReactNode } from 'react';
import { useDropzone } from 'react-dropzone';

/** A place to drop one file on; what is inside it chooses the file in another way. */
export function DropArea({ onFile, children }: { onFile: (file: File) => void; children: ReactNode }) {
  const { getRootProps, isDragActive } = useDropzone({
    noClick: true,
    noKeyboard: true,
    multiple: false,
    onDropAccepted: ([file]) => file && onFile(file),
  });
  return (
    <Paper p="md" bd={`1px dashed var(--${isDragActive ? 'action' : 'border'})`} {...getRootProps()}>
      {children}
      <Text size="sm" mt="xs">
        {isDragActive ? 'Let go to read it.' : 'Or drop the file here.'}
      </Text>
    </Paper>
  );
}
