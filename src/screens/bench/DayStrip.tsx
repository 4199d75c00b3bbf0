import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';
import { DAY_MIN, minutesFrom, type ScheduledTask } from '@/core/bench';
import { fonts, Text, useTheme } from '@/ui';

export type StripTask = ScheduledTask & { title: string; lit: boolean; done: boolean };

const ROW = 15;
const HEAD = 18;

const hourText = (minutes: number): string => String(Math.round(minutes / 60)).padStart(2, '0');

/** One day as a strip: solid bars are hands at work, outlined bars glue and finish doing theirs, the pale field is shop hours. */
export function DayStrip({
  day,
  tasks,
  hours,
}: {
  day: string;
  tasks: readonly StripTask[];
  hours: { from: number; to: number };
}) {
  const theme = useTheme();
  const [width, setWidth] = useState(0);
  const start = minutesFrom(`${day}T00:00:00`);
  const x = (minutes: number): number => (Math.min(DAY_MIN, Math.max(0, minutes - start)) / DAY_MIN) * width;
  const rows = tasks.filter((t) => minutesFrom(t.end) > start && minutesFrom(t.start) < start + DAY_MIN);
  const height = HEAD + rows.length * ROW + 4;
  const label = rows
    .map((t) => `${t.start.slice(0, 10) === day ? t.start.slice(11, 16) : 'running'} ${t.title}`)
    .join(', ');
  return (
    <View
      role="img"
      aria-label={`Day ${day}: ${label}`}
      onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
    >
      <Svg width={width} height={height}>
        <Rect
          x={x(start + hours.from)}
          y={HEAD}
          width={x(start + hours.to) - x(start + hours.from)}
          height={height - HEAD}
          fill={theme.lampFill}
          opacity={0.55}
        />
        {[6, 9, 12, 15, 18, 21].map((h) => (
          <Line
            key={h}
            x1={x(start + h * 60)}
            x2={x(start + h * 60)}
            y1={HEAD}
            y2={height}
            stroke={theme.line}
            strokeWidth={1}
          />
        ))}
        {rows.map((t, i) => {
          const [s, m, e] = [minutesFrom(t.start), minutesFrom(t.attendedEnd), minutesFrom(t.end)];
          const y = HEAD + i * ROW + 2;
          const colour = t.done ? theme.control : t.lit ? theme.lampEdge : theme.ink;
          return [
            e > m ? (
              <Rect
                key={`${t.id}-u`}
                x={x(m)}
                y={y + 2}
                width={Math.max(0, x(e) - x(m))}
                height={ROW - 8}
                fill={theme.verdigrisFill}
                stroke={theme.verdigris}
                strokeWidth={1}
              />
            ) : null,
            m > s ? (
              <Rect
                key={`${t.id}-a`}
                x={x(s)}
                y={y}
                width={Math.max(x(m) > x(s) ? 2.5 : 0, x(m) - x(s))}
                height={ROW - 4}
                fill={colour}
              />
            ) : null,
          ];
        })}
        {[6, 12, 18].map((h) => (
          <SvgText
            key={h}
            x={x(start + h * 60)}
            y={13}
            fontSize={11}
            fontFamily={fonts.text}
            fill={theme.quiet}
            textAnchor="middle"
          >
            {hourText(h * 60)}
          </SvgText>
        ))}
      </Svg>
      {rows.length === 0 ? <Text kind="label">Nothing on this day.</Text> : null}
    </View>
  );
}
