import { Button, FileButton, type ButtonProps } from '@mantine/core';
import { useRef } from 'react';

interface FileChoiceProps extends Omit<ButtonProps, 'onChange'> {
  /** What the button says, e.g. "Add photos". */
  title: string;
  /** Types that are taken, as in `accept`. */
  accept: string;
  multiple?: boolean;
  /** Lets a phone open its camera at once. */
  camera?: boolean;
  onFiles: (files: File[]) => void;
}

/** A button that opens the device's own choice of files; the same file can be chosen again. */
export function FileChoice({
  title,
  accept,
  multiple = false,
  camera = false,
  onFiles,
  ...rest
}: FileChoiceProps) {
  const reset = useRef<() => void>(null);
  return (
    <FileButton
      accept={accept}
      multiple={multiple}
      capture={camera ? 'environment' : undefined}
      resetRef={reset}
      onChange={(chosen: File | File[] | null) => {
        const files = chosen === null ? [] : Array.isArray(chosen) ? chosen : [chosen];
        reset.current?.();
        if (files.length > 0) onFiles(files);
      }}
    >
      {(props) => (
        <Button variant="default" {...rest} {...props}>
          {title}
        </Button>
      )}
    </FileButton>
  );
}
