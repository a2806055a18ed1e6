/* Notes every change to files in one folder in the order in which it was asked for, and every wait for the disk: from that
   the states can be worked out in which a cut of power may leave the disk. Loaded with LD_PRELOAD, for torture only. */
#define _GNU_SOURCE
#include <dlfcn.h>
#include <errno.h>
#include <fcntl.h>
#include <pthread.h>
#include <stdarg.h>
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <sys/stat.h>
#include <sys/syscall.h>
#include <sys/uio.h>
#include <unistd.h>

#define MOST_FILES 65536
static char *paths[MOST_FILES];
static pthread_mutex_t lock = PTHREAD_MUTEX_INITIALIZER;
static int journal = -1;
static const char *folder;
static size_t folder_length;

__attribute__((constructor)) static void begin(void) {
  folder = getenv("VENALIS_SHIM_FOLDER");
  const char *to = getenv("VENALIS_SHIM_JOURNAL");
  if (!folder || !to) return;
  folder_length = strlen(folder);
  journal = syscall(SYS_openat, AT_FDCWD, to, O_WRONLY | O_CREAT | O_APPEND, 0600);
}

static int watched(const char *path) {
  if (journal < 0 || !path || strncmp(path, folder, folder_length) != 0) return 0;
  size_t length = strlen(path);
  return !(length > 4 && strcmp(path + length - 4, "-shm") == 0) && !strstr(path, "/logs") && !strstr(path, "venalis.lock");
}

static void note(char what, const char *path, const char *other, uint64_t offset, const void *data, uint64_t length) {
  uint16_t sizes[2] = {(uint16_t)strlen(path), (uint16_t)(other ? strlen(other) : 0)};
  uint64_t numbers[2] = {offset, length};
  struct iovec parts[6] = {{&what, 1}, {sizes, sizeof sizes}, {numbers, sizeof numbers}, {(void *)path, sizes[0]}, {(void *)other, sizes[1]}, {(void *)data, data ? length : 0}};
  syscall(SYS_writev, journal, parts, 6);
}

#define REAL(name) ((__typeof__(&name))dlsym(RTLD_NEXT, #name))
static const char *path_of(int file) { return file >= 0 && file < MOST_FILES ? paths[file] : NULL; }

static int opened(int file, const char *path, int flags, int existed) {
  if (file < 0 || file >= MOST_FILES) return file;
  pthread_mutex_lock(&lock);
  free(paths[file]);
  paths[file] = watched(path) ? strdup(path) : NULL;
  if (paths[file] && (flags & O_CREAT) && !existed) note('c', path, NULL, 0, NULL, 0);
  if (paths[file] && (flags & O_TRUNC)) note('t', path, NULL, 0, NULL, 0);
  pthread_mutex_unlock(&lock);
  return file;
}

#define OPENS(name)                                                              \
  int name(const char *path, int flags, ...) {                                   \
    va_list rest; va_start(rest, flags); mode_t mode = va_arg(rest, mode_t); va_end(rest); \
    int existed = watched(path) && access(path, F_OK) == 0;                      \
    return opened(((int (*)(const char *, int, ...))dlsym(RTLD_NEXT, #name))(path, flags, mode), path, flags, existed); \
  }
OPENS(open)
OPENS(open64)

int close(int file) {
  pthread_mutex_lock(&lock);
  if (file >= 0 && file < MOST_FILES) { free(paths[file]); paths[file] = NULL; }
  pthread_mutex_unlock(&lock);
  return REAL(close)(file);
}

ssize_t write(int file, const void *data, size_t length) {
  const char *path = path_of(file);
  if (!path) return REAL(write)(file, data, length);
  pthread_mutex_lock(&lock);
  off_t at = lseek(file, 0, SEEK_CUR);
  ssize_t written = REAL(write)(file, data, length);
  if (written > 0) note('w', path, NULL, at, data, written);
  pthread_mutex_unlock(&lock);
  return written;
}

#define PWRITES(name, offset_type)                                               \
  ssize_t name(int file, const void *data, size_t length, offset_type at) {      \
    const char *path = path_of(file);                                            \
    if (!path) return REAL(name)(file, data, length, at);                        \
    pthread_mutex_lock(&lock);                                                   \
    ssize_t written = REAL(name)(file, data, length, at);                        \
    if (written > 0) note('w', path, NULL, at, data, written);                   \
    pthread_mutex_unlock(&lock);                                                 \
    return written;                                                              \
  }
PWRITES(pwrite, off_t)
PWRITES(pwrite64, off64_t)

#define TRUNCATES(name, offset_type)                                             \
  int name(int file, offset_type length) {                                       \
    const char *path = path_of(file);                                            \
    pthread_mutex_lock(&lock);                                                   \
    int result = REAL(name)(file, length);                                       \
    if (path && result == 0) note('t', path, NULL, length, NULL, 0);             \
    pthread_mutex_unlock(&lock);                                                 \
    return result;                                                               \
  }
TRUNCATES(ftruncate, off_t)
TRUNCATES(ftruncate64, off64_t)

#define SYNCS(name)                                                              \
  int name(int file) {                                                           \
    const char *path = path_of(file);                                            \
    pthread_mutex_lock(&lock);                                                   \
    int result = REAL(name)(file);                                               \
    if (path && result == 0) note('s', path, NULL, 0, NULL, 0);                  \
    pthread_mutex_unlock(&lock);                                                 \
    return result;                                                               \
  }
SYNCS(fsync)
SYNCS(fdatasync)

int unlink(const char *path) {
  pthread_mutex_lock(&lock);
  int result = REAL(unlink)(path);
  if (result == 0 && watched(path)) note('u', path, NULL, 0, NULL, 0);
  pthread_mutex_unlock(&lock);
  return result;
}

int rename(const char *from, const char *to) {
  pthread_mutex_lock(&lock);
  int result = REAL(rename)(from, to);
  if (result == 0 && watched(from)) note('r', from, to, 0, NULL, 0);
  pthread_mutex_unlock(&lock);
  return result;
}
