import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';
import { DAY_MIN, minutesFrom } from '@/core/calendar';
import { barsOn, clampsInUse, type Bar } from '@/core/front';
import { fonts, Text, useTheme } from '@/ui';

const ROW = 28;
const BAR = 9;
const HEAD = 20;
/** Width of a letter of a name, in parts of its size: names are cut before they leave the strip. */
const LETTER = 0.49;
const NAME_SIZE = 12;

const hourText = (minutes: number): string => String(Math.round(minutes / 60)).padStart(2, '0');
const cut = (text: string, most: number): string =>
  text.length <= most ? text : `${text.slice(0, Math.max(1, most - 1)).trimEnd()}…`;

/** One day as a strip: solid bars are hands at work, outlined bars glue and finish doing theirs, the pale field is shop hours. */
export function DayStrip({
  day,
  bars,
  hours,
  now,
  pieces = false,
}: {
  /** `2026-03-02` */
  day: string;
  bars: readonly Bar[];
  hours: { from: number; to: number };
  /** Local time; its line is drawn when it lies on this day. */
  now: string;
  /** Names the pieces too. */
  pieces?: boolean;
}) {
  const theme = useTheme();
  const [width, setWidth] = useState(0);
  const start = minutesFrom(`${day}T00:00:00`);
  const x = (minutes: number): number => (Math.min(DAY_MIN, Math.max(0, minutes - start)) / DAY_MIN) * width;
  const rows = barsOn(bars, day);
  const height = HEAD + rows.length * ROW + 4;
  const nameOf = (b: Bar): string => (pieces ? `${b.piece}: ${b.title}` : b.title);
  const label = rows
    .map((b) => `${b.start.slice(0, 10) === day ? b.start.slice(11, 16) : 'running'} ${nameOf(b)}`)
    .join(', ');
  const clamps = Object.entries(clampsInUse(bars, day));
  const isToday = now.slice(0, 10) === day;
  return (
    <View>
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
          {rows.map((b, i) => {
            const [s, m, e] = [minutesFrom(b.start), minutesFrom(b.attendedEnd), minutesFrom(b.end)];
            const top = HEAD + i * ROW;
            const y = top + 16;
            const colour = b.done ? theme.control : b.next ? theme.lampEdge : theme.ink;
            const right = x(s) > 0.6 * width;
            const room = right ? x(Math.max(e, m)) : width - x(s);
            return [
              <SvgText
                key={`${b.id}-n`}
                x={right ? x(Math.max(e, m)) : x(s)}
                y={top + 13}
                fontSize={NAME_SIZE}
                fontFamily={fonts.text}
                fill={b.done ? theme.quiet : theme.ink}
                textAnchor={right ? 'end' : 'start'}
              >
                {cut(nameOf(b), Math.floor(room / (NAME_SIZE * LETTER)))}
              </SvgText>,
              e > m ? (
                <Rect
                  key={`${b.id}-u`}
                  x={x(m)}
                  y={y + 1}
                  width={Math.max(0, x(e) - x(m))}
                  height={BAR - 2}
                  fill={theme.verdigrisFill}
                  stroke={theme.verdigris}
                  strokeWidth={1}
                />
              ) : null,
              m > s ? (
                <Rect
                  key={`${b.id}-a`}
                  x={x(s)}
                  y={y}
                  width={Math.max(x(m) > x(s) ? 2.5 : 0, x(m) - x(s))}
                  height={BAR}
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
          {isToday ? (
            <>
              <Line
                x1={x(minutesFrom(now))}
                x2={x(minutesFrom(now))}
                y1={HEAD - 4}
                y2={height}
                stroke={theme.oxblood}
                strokeWidth={2}
              />
              <SvgText
                x={x(minutesFrom(now)) + 4}
                y={13}
                fontSize={11}
                fontFamily={fonts.text}
                fill={theme.oxblood}
              >
                now
              </SvgText>
            </>
          ) : null}
        </Svg>
      </View>
      {rows.length === 0 ? <Text kind="label">Nothing on this day.</Text> : null}
      {clamps.length > 0 ? (
        <Text kind="label">{`Clamps in use, at most: ${clamps.map(([kind, count]) => `${count} × ${kind}`).join(', ')}`}</Text>
      ) : null}
    </View>
  );
}
