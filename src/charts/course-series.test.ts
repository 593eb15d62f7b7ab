import { describe, expect, it } from 'vitest';
import { buildCourseOption, courseHeight, courseRows, type Course } from './course-series';

const session = (load: number, reps: number[], faulty: number, hole: number | null) => ({
  date: '1 Nov',
  load,
  reps,
  faulty,
  hole,
});
const course: Course = {
  unit: 'kg',
  hasDemand: false,
  sessions: [session(10, [12, 10, 9], 2, 9), session(12.5, [8], 0, null), session(12.5, [10, 10], 1, 11)],
};

describe('the chart of a course', () => {
  it('shows every set, and no hole where none was saved', () => {
    expect(
      courseRows({ ...course, sessions: course.sessions.map((s, k) => (k === 1 ? { ...s, demandNm: 31 } : s)) }),
    ).toEqual({
      demand: [[1, 31]],
      load: [
        [0, 10],
        [1, 12.5],
        [2, 12.5],
      ],
      reps: [
        [0, 12],
        [0, 10],
        [0, 9],
        [1, 8],
        [2, 10],
        [2, 10],
      ],
      faulty: [
        [0, 67],
        [1, 0],
        [2, 50],
      ],
      hole: [
        [0, 9],
        [2, 11],
      ],
    });
  });
  it('leaves out the row of holes where a movement has none', () => {
    const look = { ink: {} as never, hatch: '', fontFamily: 'x' };
    const without = { ...course, sessions: course.sessions.map((s) => ({ ...s, hole: null })) };
    const rows = (c: Course) => (buildCourseOption(c, look).series as unknown[]).length;
    expect([rows(course), rows(without), rows({ ...course, hasDemand: true })]).toEqual([4, 3, 5]);
    expect(courseHeight(without)).toBeLessThan(courseHeight(course));
  });
});
