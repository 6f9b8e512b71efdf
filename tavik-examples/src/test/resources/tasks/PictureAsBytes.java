package dev.tavik.examples.tasks;

import dev.tavik.answer.Answer;
import dev.tavik.chart.Chart;
import dev.tavik.count.Tally;
import dev.tavik.study.rate.RateQuestion;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import javax.imageio.ImageIO;

/** A picture in memory. */
public final class PictureAsBytes {
  public static String run() throws Exception {
    Answer answer = RateQuestion.of(Tally.of(14, 400), 0.05).ask();
    BufferedImage picture = Chart.INTERVALS.image(answer, 800, 500);
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(picture, "png", bytes);
    return bytes.size() + " bytes";
  }
}
