import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from './Text';
import { space, useTheme } from './theme';

type Message = { text: string; stop?: boolean; action?: { label: string; run: () => void } };
type Say = (message: Message) => void;

const ToastContext = createContext<Say>(() => {});

/** Says something at the foot of the page, with one thing that can be done about it, such as undoing it. */
export const useSay = (): Say => useContext(ToastContext);

const SHOWN_MS = 9000;

export function ToastHost({ children, bottom }: { children: ReactNode; bottom: number }) {
  const theme = useTheme();
  const [message, setMessage] = useState<Message>();
  useEffect(() => {
    if (!message || message.stop) return;
    const timer = setTimeout(() => setMessage(undefined), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [message]);
  const say = useCallback<Say>((m) => setMessage(m), []);
  const act = useMemo(() => message?.action, [message]);
  return (
    <ToastContext.Provider value={say}>
      {children}
      {message ? (
        <View
          role={message.stop ? 'alert' : 'status'}
          style={[
            styles.toast,
            {
              bottom,
              backgroundColor: theme.bar,
              borderLeftColor: message.stop ? theme.oxblood : theme.verdigris,
            },
          ]}
        >
          <Text tone="onBar" style={styles.text}>
            {message.text}
          </Text>
          {act ? (
            <Pressable
              role="button"
              aria-label={act.label}
              style={styles.action}
              onPress={() => {
                setMessage(undefined);
                act.run();
              }}
            >
              <Text kind="strong" tone="onBarLit">
                {act.label}
              </Text>
            </Pressable>
          ) : null}
          <Pressable
            role="button"
            aria-label="Close message"
            style={styles.action}
            onPress={() => setMessage(undefined)}
          >
            <Text kind="strong" tone="onBar">
              ×
            </Text>
          </Pressable>
        </View>
      ) : null}
    </ToastContext.Provider>
  );
}

const styles = StyleSheet.create({
  toast: {
    position: 'absolute',
    left: space(3),
    right: space(3),
    maxWidth: 560,
    marginHorizontal: 'auto',
    flexDirection: 'row',
    alignItems: 'center',
    paddingLeft: space(4),
    borderLeftWidth: 4,
    borderRadius: 4,
  },
  text: { flex: 1, paddingVertical: space(3) },
  action: {
    minHeight: 48,
    minWidth: 44,
    paddingHorizontal: space(3),
    alignItems: 'center',
    justifyContent: 'center',
  },
});
