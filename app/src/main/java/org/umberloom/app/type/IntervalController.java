package org.umberloom.app.type;

import java.util.List;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.umberloom.core.type.Interval;

/** The ratios of scales that have a name. */
@RestController
class IntervalController {
    /** @param ratio with three decimals, as it is taken */
    record IntervalView(String name, String fraction, double ratio) {
        static IntervalView of(Interval interval) {
            return new IntervalView(
                    interval.words(), interval.fraction(), Math.round(interval.ratio() * 1000) / 1000.0);
        }
    }

    @GetMapping("/api/intervals")
    List<IntervalView> intervals() {
        return Stream.of(Interval.values()).map(IntervalView::of).toList();
    }
}
