import { IconButton } from '@chakra-ui/react';
import type { ReactNode } from 'react';

interface Props {
  /** What it does, read out and shown when pointed at. */
  readonly label: string;
  readonly icon: ReactNode;
  readonly isOff?: boolean;
  readonly className?: string;
  readonly onClick: () => void;
}

/** A button that is only an icon, for the rows of a list. */
export function SmallButton({ label, icon, isOff = false, className, onClick }: Props) {
  return (
    <IconButton
      className={className}
      size="2xs"
      minW="26px"
      h="26px"
      variant="ghost"
      aria-label={label}
      title={label}
      disabled={isOff}
      onClick={onClick}
    >
      {icon}
    </IconButton>
  );
}
