'use client';
import { useCallback } from 'react';
import { buildCourseOption, courseHeight, type Course } from './course-series';
import { useChart, type ChartLook } from './use-chart';

/** The course of a movement over its sessions; the table beside it tells the same. */
export default function CourseChart({ course, label }: { readonly course: Course; readonly label: string }) {
  const build = useCallback((look: ChartLook) => buildCourseOption(course, look), [course]);
  return (
    <div ref={useChart(build)} role="img" aria-label={label} style={{ height: courseHeight(course), width: '100%' }} />
  );
}
