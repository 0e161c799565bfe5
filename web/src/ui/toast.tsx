import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { createContext, type ReactNode, useCallback, useContext, useState } from 'react';

type Toast = { text: string; undo?: () => void };
const Ctx = createContext<(t: Toast) => void>(() => {});
export const useToast = () => useContext(Ctx);

/** One line that says what was done, with a way back where there is one. */
export function Toasts({ children }: { children: ReactNode }) {
  const [toast, setToast] = useState<Toast | null>(null);
  const say = useCallback((t: Toast) => setToast(t), []);
  return (
    <Ctx.Provider value={say}>
      {children}
      <Snackbar
        key={toast?.text}
        open={toast !== null}
        autoHideDuration={6000}
        onClose={(_, why) => why !== 'clickaway' && setToast(null)}
        anchorOrigin={{ vertical: 'top', horizontal: 'right' }}
        sx={{ maxWidth: 420 }}
        message={toast?.text}
        action={
          toast?.undo && (
            <Button
              size="small"
              sx={{ color: 'var(--mari)' }}
              onClick={() => {
                toast.undo?.();
                setToast(null);
              }}
            >
              Undo
            </Button>
          )
        }
      />
    </Ctx.Provider>
  );
}
