package org.umberloom.app;

import org.apache.ibatis.annotations.Mapper;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts the application. */
@SpringBootApplication
@EnableScheduling
@MapperScan(basePackageClasses = UmberLoom.class, annotationClass = Mapper.class)
public class UmberLoom {
    public static void main(String[] arguments) {
        SpringApplication.run(UmberLoom.class, arguments);
    }
}
