package org.umberloom.e2e;
public class CrowdMain {
    public static void main(String[] a) throws Exception {
        try (Crowd c = new Crowd(a[0]).of(Integer.parseInt(a[1]))) {
            for (int i = 0; i < Integer.parseInt(a[2]); i++) { c.forget(); c.work(java.time.Duration.ofSeconds(10)); System.out.println(c.figures()); c.failures.stream().limit(3).forEach(System.out::println); }
        }
        System.exit(0);
    }
}
